// @vitest-environment jsdom

import { cleanup, render, screen } from '@testing-library/react';
import { METRIC } from '@yellow-cell/core';
import { afterEach, describe, expect, it } from 'vitest';
import { MeasuresContext } from '../app/units.ts';
import { LengthField } from './LengthField.tsx';

afterEach(cleanup);
const shownIn = (length: 'mm' | 'inch', value: { mm: number; typed?: string }): string => {
  cleanup();
  render(
    <MeasuresContext value={{ ...METRIC, length }}>
      <LengthField label="Wall" value={value} takes="signed" onChange={() => undefined} />
    </MeasuresContext>,
  );
  return (screen.getByRole('textbox') as HTMLInputElement).value;
};

describe('a length', () => {
  it('stands as it was typed, where that means the same in the measures of now', () => {
    expect(shownIn('inch', { mm: 19.05, typed: '3/4' })).toBe('3/4');
    expect(shownIn('mm', { mm: 19.05, typed: '3/4' })).toBe('19.1');
    expect(shownIn('mm', { mm: 19.05, typed: '3/4"' })).toBe('3/4"');
    expect(shownIn('mm', { mm: 190, typed: '190' })).toBe('190');
    expect(shownIn('inch', { mm: 190, typed: '190' })).toBe('7 1/2');
    expect(shownIn('inch', { mm: 190, typed: '19 cm' })).toBe('19 cm');
    expect(shownIn('mm', { mm: -5, typed: '−5' })).toBe('−5');
    expect(shownIn('mm', { mm: 9.5 })).toBe('9.5');
  });
});
