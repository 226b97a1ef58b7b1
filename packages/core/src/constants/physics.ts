import { constant } from './constant.ts';

/** Figures of the physics of a box (handbook 3). What nature fixes, like gravity, is not among them. */
const warmth3 = 'Layers and surfaces';
const network3 = 'Network of a box';
const openings3 = 'Openings and stack flow';
const cluster3 = 'Cluster and winter';
const estimate = 'Our estimate';
const spread = 'Our estimate: one standard deviation in the band of a winter';

export const beesConstants = {
  heatCalm_Wkg: constant(12, 'W/kg', openings3, [3, 60], 'Heat of bees, calm, cool and dark'),
  heatResting_Wkg: constant(20, 'W/kg', openings3, [3, 60], 'Heat of bees at rest in season'),
  heatAlarmed_Wkg: constant(70, 'W/kg', openings3, [5, 200], 'Heat of bees alarmed, or shut in warm'),
  heatAlarmedMost_Wkg: constant(
    100,
    'W/kg',
    openings3,
    [5, 300],
    'The most that alarmed bees give, for how long they are safe at least',
  ),
  broodNest_C: constant(34.5, '°C', openings3, [30, 37], 'Temperature that brood is held at'),
  broodless_C: constant(
    15,
    '°C',
    estimate,
    [5, 30],
    'Inside temperature that a broodless cluster is asked to hold',
  ),
  fanning_C: constant(36, '°C', openings3, [34, 40], 'Over this they fan and beard'),
  danger_C: constant(38, '°C', openings3, [35, 45], 'Over this brood and bees are in danger'),
  slump_C: constant(40, '°C', openings3, [36, 50], 'Over this wax softens and combs slump'),
  beesHeat_JkgK: constant(3_500, 'J/kgK', openings3, [2_000, 4_500], 'Heat capacity of bees'),
  combHeat_JkgK: constant(2_500, 'J/kgK', openings3, [1_000, 4_200], 'Heat capacity of comb and stores'),
  woodHeat_Jm3K: constant(
    800_000,
    'J/m³K',
    estimate,
    [300_000, 1_500_000],
    'Heat that a cubic metre of wood stores',
  ),
  combFrame_kg: constant(
    1.2,
    'kg',
    estimate,
    [0.2, 4],
    'A part-filled comb of a small colony, for its heat capacity',
  ),
  covered: constant(
    0.6,
    'share',
    estimate,
    [0.1, 1],
    'Share of the comb that bees cover where none are counted',
  ),
  bees_kg1: constant(8_333, 'bees', 'Words', [6_000, 11_000], 'Bees in a kilogram'),
} as const;

export const airConstants = {
  discharge: constant(0.61, 'share', openings3, [0.4, 1], 'Discharge of an opening, Cd'),
  airHeat_Jm3K: constant(1_200, 'J/m³K', network3, [900, 1_400], 'Heat that a cubic metre of air carries'),
  meshCoarse: constant(0.6, 'share', openings3, [0.3, 0.9], 'Free area of 3 mm wire mesh'),
  meshFine: constant(0.5, 'share', openings3, [0.2, 0.8], 'Free area of fly screen'),
  ventFree: constant(0.6, 'share', openings3, [0.1, 1], 'Free area of a disc on vent'),
  reducedFree: constant(0.25, 'share', estimate, [0.05, 1], 'Free area of an entrance reduced'),
  workersOnlyFree: constant(0.4, 'share', estimate, [0.1, 1], 'Free area of an entrance for workers only'),
  excluderFree: constant(0.5, 'share', estimate, [0.2, 0.9], 'Free area of an excluder'),
  clustered: constant(
    0.5,
    'share',
    openings3,
    [0.1, 1],
    'What bees that hang on the mesh of a shut box leave free',
  ),
  outside_RH: constant(0.85, 'share', 'Moisture', [0, 1], 'Relative humidity outside'),
  waterOfStores: constant(0.66, 'kg/kg', 'Moisture', [0.4, 0.8], 'Water that a kilogram of stores gives'),
  storesUse_kgDayKg: constant(
    0.11,
    'kg/day per kg',
    'Feeding',
    [0.01, 0.3],
    'Stores that a kilogram of bees uses in season',
  ),
} as const;

const lambda = (value: number, name: string) =>
  constant(value, 'W/mK', warmth3, [0.01, 5], `Conductivity of ${name}`);

export const warmthConstants = {
  rsiWall: constant(0.13, 'm²K/W', warmth3, [0.05, 0.3], 'Inner surface of a wall, Rsi'),
  rsiCover: constant(0.1, 'm²K/W', warmth3, [0.05, 0.3], 'Inner surface of a cover, Rsi'),
  rsiFloor: constant(0.17, 'm²K/W', warmth3, [0.05, 0.3], 'Inner surface of a floor, Rsi'),
  rsiInner: constant(0.13, 'm²K/W', warmth3, [0.05, 0.3], 'Either surface between two spaces, Rsi'),
  rse: constant(0.04, 'm²K/W', warmth3, [0.01, 0.15], 'Outer surface, Rse'),
  pine_WmK: lambda(0.12, 'softwood'),
  plywood_WmK: lambda(0.13, 'plywood'),
  foam_WmK: lambda(0.036, 'dense expanded polystyrene'),
  plastic_WmK: lambda(0.19, 'solid plastic'),
  corrugated_WmK: lambda(0.06, 'corrugated plastic of 4 mm'),
  glass_WmK: lambda(1, 'glass'),
  cloth_WmK: lambda(0.04, 'felt, wool or cloth'),
  foil_R: constant(0.15, 'm²K/W', warmth3, [0.05, 0.45], 'Foil-bubble sheet lying flat'),
  stillAir_R: constant(0.18, 'm²K/W', warmth3, [0.1, 0.3], 'Still air over the tray of a floor'),
  earth_R: constant(0.5, 'm²K/W', estimate, [0.1, 3], 'Earth under a floor that lies on the ground'),
  earthLag: constant(
    0.5,
    'share',
    estimate,
    [0, 1],
    'Share of the difference to the year’s mean that the ground keeps',
  ),
} as const;

export const sunConstants = {
  film_Wm2K: constant(25, 'W/m²K', network3, [5, 40], 'Film of a sunlit face to the air'),
  absorbWhite: constant(0.25, 'share', network3, [0.05, 1], 'Sun that a white face takes up'),
  absorbWood: constant(0.6, 'share', network3, [0.05, 1], 'Sun that bare wood takes up'),
  absorbDark: constant(0.9, 'share', network3, [0.05, 1], 'Sun that a dark face takes up'),
  panePasses: constant(0.85, 'share', network3, [0.3, 1], 'Sun that a clear pane lets through'),
  nightSky_K: constant(
    4,
    'K',
    network3,
    [0, 10],
    'How much colder than the air a roof sees a clear night sky',
  ),
} as const;

export const winterConstants = {
  litresPerKg: constant(4.5, 'L/kg', cluster3, [2, 10], 'Room of a kilogram of bees in a cluster'),
  surface_C: constant(10, '°C', cluster3, [5, 18], 'Surface of a cluster without brood'),
  surfaceBrood_C: constant(20, '°C', cluster3, [10, 34], 'Surface of a cluster with brood'),
  clusterFilm_Wm2K: constant(5, 'W/m²K', cluster3, [1, 15], 'Film from the cluster to the air of the cavity'),
  least_Wkg: constant(3, 'W/kg', cluster3, [0.5, 10], 'Least heat of a kilogram of bees'),
  easy_Wkg: constant(5, 'W/kg', cluster3, [2, 10], 'Effort up to which a winter is easy'),
  dwindle_Wkg: constant(10, 'W/kg', cluster3, [5, 25], 'Effort over which a cluster is likely to dwindle'),
  storesHeat_MJkg: constant(12.7, 'MJ/kg', cluster3, [10, 15], 'Heat of a kilogram of stores'),
  spreadBees: constant(0.12, 'share', spread, [0, 0.5], 'How sure the weight of the bees is'),
  spreadUa: constant(0.12, 'share', spread, [0, 0.5], 'How sure the heat through the box is'),
  spreadRoom: constant(0.1, 'share', spread, [0, 0.5], 'How sure the room of the cluster is'),
  spreadWeather_K: constant(2.5, 'K', cluster3, [0, 6], 'How far a month’s mean strays from the climate’s'),
  weatherTogether: constant(
    0.23,
    'share',
    cluster3,
    [0, 1],
    'Correlation between the months of one winter: mild ones come together',
  ),
  spreadDying: constant(0.2, 'share', spread, [0, 0.6], 'How sure it is how many bees die'),
  spreadTurn: constant(0.15, 'share', spread, [0, 0.5], 'How sure it is how few bees are too few'),
  winterDies: constant(0.003, 'share/day', cluster3, [0, 0.02], 'Winter bees that die on a day'),
  winterDiesMost: constant(
    0.01,
    'share/day',
    cluster3,
    [0, 0.05],
    'Winter bees that die on a day where they work so hard that they dwindle',
  ),
  turnLeast_kg: constant(
    0.2,
    'kg',
    'Our estimate: what 0.4 kg in October come to by February, where they work hard',
    [0.05, 1],
    'Bees below which a colony dwindles before spring',
  ),
  companyShare: constant(
    0.5,
    'share',
    estimate,
    [0, 1],
    'Bees over a divider that count as company where few are left',
  ),
  broodFrom_d: constant(49, 'days', cluster3, [20, 90], 'Brood begins so long after the shortest day'),
  winterBroodUse: constant(
    0.75,
    'share',
    cluster3,
    [0, 2],
    'How much more is used once there is brood again',
  ),
  spreadBroodUse: constant(
    0.33,
    'share',
    cluster3,
    [0, 0.9],
    'How far that strays either way: by half to double is three quarters, a third more or less',
  ),
  rearedFully_d: constant(
    45,
    'days',
    estimate,
    [5, 120],
    'From the first young bees of the year until so many emerge as can',
  ),
  winterInsulation_mm: constant(60, 'mm', estimate, [0, 150], 'Insulation behind a follower in winter'),
  winterRoomOver: constant(
    2,
    'frames',
    estimate,
    [0, 8],
    'A free room of so many frames more than its seams is still a smaller one',
  ),
  winterLeave_min: constant(2, 'min', estimate, [0, 240], 'Work of a short check before winter'),
  winterFeed_min: constant(8, 'min', estimate, [0, 240], 'Work of feeding a colony for winter'),
  winterReduce_min: constant(15, 'min', estimate, [0, 240], 'Work of reducing a cavity'),
  winterMove_min: constant(25, 'min', estimate, [0, 240], 'Work of moving a colony into another room'),
  winterCombine_min: constant(20, 'min', estimate, [0, 240], 'Work of combining two colonies'),
  heftsApart_d: constant(
    14,
    'days',
    estimate,
    [3, 60],
    'Two hefts nearer than this say little of what is used between them',
  ),
  planWithin_d: constant(
    14,
    'days',
    estimate,
    [1, 90],
    'A plan for winter is carried out within so many days',
  ),
  winterEmerges: constant(
    0.01,
    'share/day',
    estimate,
    [0, 0.05],
    'Young bees that emerge on a day at the end of winter, to those there are',
  ),
  spreadUse: constant(0.1, 'share', spread, [0, 0.5], 'How sure the use of stores is'),
} as const;
