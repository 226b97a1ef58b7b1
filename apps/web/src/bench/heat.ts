/** Tones of temperature, from cold stone to warm comb; figures stand beside them, so that nothing hangs on colour. */
const COLD = [214, 216, 212] as const;
const MILD = [243, 228, 186] as const;
const WARM = [222, 150, 62] as const;
const RANGE_C = { cold: -10, mild: 14, warm: 38 };

export function heatTone(celsius: number): string {
  const [from, to, share] =
    celsius < RANGE_C.mild
      ? ([COLD, MILD, (celsius - RANGE_C.cold) / (RANGE_C.mild - RANGE_C.cold)] as const)
      : ([MILD, WARM, (celsius - RANGE_C.mild) / (RANGE_C.warm - RANGE_C.mild)] as const);
  const held = Math.min(1, Math.max(0, share));
  const mixed = from.map((each, index) => Math.round(each + ((to[index] ?? each) - each) * held));
  return `rgb(${mixed.join(' ')})`;
}

/** To what is known of it. */
export const showC = (celsius: number): string => {
  const whole = Math.round(Math.abs(celsius));
  return `${celsius < 0 && whole > 0 ? '−' : ''}${whole} °C`;
};

/** To two figures, as such estimates are known, and no more than hundredths. */
export const twoFigures = (value: number): string =>
  String(Math.abs(value) >= 10 ? Math.round(value) : Number(Number(value.toPrecision(2)).toFixed(2)));
