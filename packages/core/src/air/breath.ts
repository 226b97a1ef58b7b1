import type { BreathAnswer, BreathQuestion } from '@yellow-cell/contract';
import { below } from '../numbers.ts';

/** Sugar burnt gives a mole of carbon dioxide, 0.02405 m³ at 20 °C, for each 467.5 kJ of heat. */
const MOLE_M3 = 0.02405;
const HEAT_OF_MOLE_J = 467_500;
/** Of the air outside, in per cent. */
const OUTSIDE_PCT = 0.042;
/** There is no more oxygen to burn. */
const MOST_PCT = 21;

/** Carbon dioxide in a well-mixed space that bees are shut into: how much there will be, and when it passes limits. */
export function breath(question: BreathQuestion): BreathAnswer {
  const { volume_m3, bees_kg, heat_Wkg, flow_m3s, hours, limits_pct, outside_pct = OUTSIDE_PCT } = question;
  const made_m3s = (bees_kg * heat_Wkg * MOLE_M3) / HEAT_OF_MOLE_J;
  const rise = (seconds: number): number => 100 * riseOf(made_m3s, flow_m3s, volume_m3, seconds);
  const until = hours * 3_600;
  const at = (seconds: number): number => Math.min(MOST_PCT, outside_pct + rise(seconds));
  return {
    steady_pct: flow_m3s > 0 ? Math.min(MOST_PCT, outside_pct + (100 * made_m3s) / flow_m3s) : null,
    end_pct: at(until),
    minutesTo: limits_pct.map((limit_pct) => ({
      limit_pct,
      minutes: minutesTo(limit_pct - outside_pct, {
        made_m3s,
        flow_m3s,
        volume_m3,
        until,
        most: MOST_PCT - outside_pct,
      }),
    })),
  };
}

/** The share by which it has risen: V · dc/dt = made − flow · c. */
function riseOf(made_m3s: number, flow_m3s: number, volume_m3: number, seconds: number): number {
  const changes = (flow_m3s * seconds) / volume_m3;
  return changes < 1e-9 ? (made_m3s * seconds) / volume_m3 : (made_m3s / flow_m3s) * -Math.expm1(-changes);
}

interface Space {
  made_m3s: number;
  flow_m3s: number;
  volume_m3: number;
  until: number;
  most: number;
}
function minutesTo(wanted_pct: number, { made_m3s, flow_m3s, volume_m3, until, most }: Space): number | null {
  if (!below(0, wanted_pct)) return 0;
  if (below(most, wanted_pct) || made_m3s === 0) return null;
  const share = wanted_pct / 100;
  const left = 1 - (share * flow_m3s) / made_m3s;
  if (left <= 0) return null;
  const seconds = flow_m3s === 0 ? (share * volume_m3) / made_m3s : (-Math.log(left) * volume_m3) / flow_m3s;
  return seconds <= until * (1 + 1e-9) ? seconds / 60 : null;
}
