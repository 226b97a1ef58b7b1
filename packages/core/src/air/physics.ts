/** Constants of the air and warmth models (handbook 3). SI units unless the name says otherwise. */
export const GRAVITY = 9.81;
export const DISCHARGE = 0.61;
/** Heat that a cubic metre of air carries, in J/K. */
export const AIR_HEAT = 1_200;
export const ZERO_C_IN_K = 273.15;
/** Heat capacity of bees, and of comb with stores, in J/(kg·K). */
export const BEES_HEAT = 3_500;
export const COMB_HEAT = 2_500;
