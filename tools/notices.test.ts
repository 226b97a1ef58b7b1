import { describe, expect, it } from 'vitest';
import { noticesText, notPermissive, shippedPackages } from './notices.ts';

describe('what others made and we ship', () => {
  const shipped = shippedPackages();
  it('asks for nothing but its notice, and brings in no image library', () => {
    expect(shipped.length).toBeGreaterThan(100);
    expect(notPermissive(shipped)).toEqual([]);
    expect(shipped.filter(({ name }) => /sharp|libvips/.test(name))).toEqual([]);
  });

  it('is named with its notice, each once', () => {
    const text = noticesText(shipped);
    for (const name of ['react', 'fastify', 'pg', 'workbox-core', 'dejavu-fonts-ttf', 'manifold-3d'])
      expect(text.match(new RegExp(`^${name} \\d`, 'gm'))).toHaveLength(1);
    expect(text).toContain('Permission is hereby granted');
  });

  it('is looked at where a licence asks for more', () => {
    const odd = { name: 'x', version: '1', license: 'LGPL-3.0-or-later', text: '' };
    expect(notPermissive([odd, { ...odd, license: '(MIT OR GPL-2.0)' }])).toEqual([odd]);
  });
});
