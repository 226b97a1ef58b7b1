import type { ConstantName, Constants } from '../constants/registry.ts';

const MS = { min: 60_000, h: 3_600_000, d: 86_400_000 } as const;

/** What a figure of the registry comes to in milliseconds, by the unit in its name. */
export function span_ms(name: ConstantName, constants: Constants): number {
  const unit = name.slice(name.lastIndexOf('_') + 1) as keyof typeof MS;
  return constants[name] * MS[unit];
}
