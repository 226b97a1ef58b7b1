import { describe, expect, it } from 'vitest';
import { cardAddress } from './cardAddress.ts';

const YARD = 'd8417c26-cc41-4861-8d33-931ce2c154ab';
const BOX = '46ea680a-279d-453e-892a-80420e02f214';

describe('the code of a box card', () => {
  it('leads to its box, wherever the program was when it was printed', () => {
    for (const host of ['http://127.0.0.1:8173', 'https://bees.example', 'http://192.168.1.9'])
      expect(cardAddress(`${host}/yard/${YARD}?box=${BOX}`)).toBe(`/yard/${YARD}?box=${BOX}`);
    expect(cardAddress(`HTTP://HERE/YARD/${YARD.toUpperCase()}?box=${BOX.toUpperCase()}`)).toBe(
      `/yard/${YARD}?box=${BOX}`,
    );
  });
  it('is none where it says anything else', () => {
    for (const code of [
      '',
      'B7',
      'WIFI:S:yard;;',
      `javascript:/yard/${YARD}?box=${BOX}`,
      `https://elsewhere.example/yard/${YARD}`,
      `https://elsewhere.example/yard/${YARD}?box=1`,
      `https://elsewhere.example/yard/../settle?box=${BOX}`,
      `https://elsewhere.example/yard/${YARD}/cards?box=${BOX}`,
    ])
      expect(cardAddress(code)).toBeUndefined();
  });
});
