import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { payloads } from '@yellow-cell/contract';
import {
  check,
  families,
  familyDesign,
  limitTable,
  playbookTable,
  registry,
  roleTable,
  rules,
  transitionTable,
  warningSources,
} from '@yellow-cell/core';
import { createDemo } from '@yellow-cell/demo';
import { describe, expect, it } from 'vitest';
import { root } from './root.ts';
import { seasonsTable } from './seasonsTable.ts';
import { shutTable } from './shutTable.ts';

const models = readFileSync(join(root, 'docs', 'models.md'), 'utf8');

describe('docs/models.md', () => {
  it('prints the table of statuses and events as it stands in core', () => {
    expect(models).toContain(transitionTable());
  });
  it('prints the table of roles as it stands in core', () => {
    expect(models).toContain(roleTable());
  });
  it('prints the playbooks as they stand in core', () => {
    expect(models).toContain(playbookTable());
  });
  it('prints what the demo’s boxes are like in four months of the north and the south, as reckoned', () => {
    expect(models).toContain(seasonsTable(createDemo('2026-05-31T10:00:00Z').designs));
  });
  it('works the demo’s boxes through, shut, as reckoned', () => {
    expect(models).toContain(shutTable(createDemo('2026-05-31T10:00:00Z').designs));
  });
  it('names every constant with its default', () => {
    for (const [name, { value }] of Object.entries(registry).filter(([each]) => !each.startsWith('rule_')))
      expect(models).toContain(`| ${name} | ${value} |`);
  });
  it('names every rule that raises work with its source', () => {
    for (const { title, why, source } of rules)
      expect(models).toMatch(new RegExp(`\\| ${title} \\| ${why} \\| .* \\| ${source} \\|`));
  });
  it('has a section for every source that a figure, a rule or a check names', () => {
    const named = [...Object.values(registry), ...rules, ...Object.values(limitTable)].map(
      ({ source }) => source,
    );
    const checked = families.flatMap(({ family }) =>
      check({ design: familyDesign(family) }).checks.flatMap(({ limit }) => limit?.source ?? []),
    );
    for (const source of new Set([...named, ...checked, ...warningSources]))
      if (!source.startsWith('Our estimate')) expect(models).toContain(`\n### ${source}\n`);
  });
  it('names every limit of the checks with its default', () => {
    for (const [name, { value }] of Object.entries(limitTable))
      expect(models).toContain(`| ${name} | ${value} |`);
  });
});

describe('docs/formats.md', () => {
  const formats = readFileSync(join(root, 'docs', 'formats.md'), 'utf8');
  it.each(Object.entries(payloads))('names %s with every field of it', (kind, { shape }) => {
    const [, fields = ''] = new RegExp(`^\\| ${kind} \\| (.*) \\|$`, 'm').exec(formats) ?? [];
    for (const field of Object.keys(shape)) expect(fields).toMatch(new RegExp(`\\b${field}\\b`));
  });
});
