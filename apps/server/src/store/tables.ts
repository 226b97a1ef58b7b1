import type { ColumnType, Insertable, JSONColumnType, Selectable } from 'kysely';

/** Days come and go as `YYYY-MM-DD`, instants as ISO text (see database.ts for the parsers). */
type Day = string;
type Instant = ColumnType<string, string, string>;
/** Read rows go in as one text for all of them, in which these are no text of their own. */
type Stored<T extends object> = ColumnType<T, T, T>;
type Json<T extends object> = JSONColumnType<T, string, string>;

export interface Tables {
  breeder: BreederTable;
  design: DesignTable;
  design_version: DesignVersionTable;
  yard: YardTable;
  event: EventTable;
  event_subject: EventSubjectTable;
  box_state: BoxStateTable;
  compartment_state: CompartmentStateTable;
  attempt_state: AttemptStateTable;
  round_state: RoundStateTable;
  weather_day: WeatherDayTable;
  event_to_settle: EventToSettleTable;
  box_beside: BoxBesideTable;
  reckon_wait: ReckonWaitTable;
  queen_state: QueenStateTable;
  due_state: DueStateTable;
  sensor_reading: SensorReadingTable;
  workshop: WorkshopTable;
  stock_sheet: StockSheetTable;
  equipment: EquipmentTable;
}

export interface Owned {
  breeder_id: string;
}

export interface BreederTable extends Owned {
  name: string;
  /** The instant at which the demo's own clock stood when it was loaded, and when that was; null without a demo. */
  demo_anchor: Instant | null;
  demo_loaded_at: Instant | null;
  /** False while the demo is still being loaded. */
  loaded: boolean;
  settings: Json<object>;
  settings_version: number;
  /** Of the fold that made the read rows. */
  fold_version: number;
}
export interface DesignTable extends Owned {
  id: string;
  name: string;
}
export interface DesignVersionTable extends Owned {
  design_id: string;
  number: number;
  id: string;
  content: Json<object>;
  note: string;
  saved_at: Instant;
  saved_by: string;
}
export interface YardTable extends Owned {
  id: string;
  name: string;
  latitude_deg: number;
  longitude_deg: number;
  zone: string;
  version: number;
}
export interface EventTable extends Owned {
  id: string;
  kind: string;
  kind_version: number;
  occurred_at: Instant;
  zone: string;
  recorded_at: Instant;
  person: string;
  device: string;
  device_seq: number;
  corrects: string | null;
  note: string | null;
  payload: Json<object>;
}
export interface EventSubjectTable extends Owned {
  subject_id: string;
  event_id: string;
  kind: string;
}
export interface BoxStateTable extends Owned {
  box_id: string;
  label: string;
  /** Label with its numbers padded, so that B10 follows B9. */
  label_key: string;
  design_id: string;
  design_version: number;
  yard_id: string | null;
  stand: string | null;
  built_on: Day;
  taken_apart_on: Day | null;
  /** All that the fold knows of it, to go on telling from; and the part of it that screens show, with what happened last. */
  told: Stored<object>;
  shown: Stored<object>;
  /** When the last of its story happened. */
  last_at: Instant;
}
/** Boxes of which what is due is still to be reckoned. */
export interface ReckonWaitTable extends Owned {
  box_id: string;
}
export interface CompartmentStateTable extends Owned {
  box_id: string;
  position: number;
  name: string;
  frames: number;
  status: string;
  since: Day | null;
  due: string | null;
  due_from: Day | null;
  due_expected: Day | null;
  due_to: Day | null;
  role: string;
  free_from: Day | null;
}
export interface AttemptStateTable extends Owned {
  attempt_id: string;
  box_id: string;
  design_id: string;
  frames: number;
  round_id: string | null;
  given_on: Day;
  /** The day from which it is reckoned: that of a ripe cell, before a virgin was born. */
  cell_on: Day;
  take_on: Day | null;
  miss_on: Day | null;
  fail_by: Day;
  reason: string | null;
  what: string;
  design_version: number | null;
  yard_id: string | null;
  /** What the compartment was called, and the point of the compass that its flight entrance looked to. */
  compartment: string | null;
  flight: string | null;
  donor: string | null;
  pattern_pct: number | null;
}
export interface RoundStateTable extends Owned {
  round_id: string;
  number: number;
  donor: string;
  grafted_on: Day;
  told: Stored<object>;
}
export interface WeatherDayTable extends Owned {
  yard_id: string;
  day: Day;
  min_c: number | null;
  max_c: number | null;
  wind_ms: number | null;
  rain_mm: number | null;
  flying_h: number | null;
}
export interface EventToSettleTable extends Owned {
  event_id: string;
  /** The box, round or yard that it is about: its row stands with each. */
  subject_id: string;
  sentence: string;
}

export interface BoxBesideTable extends Owned {
  event_id: string;
  box_id: string;
  before: Stored<object> | null;
  sign: string;
}

export interface QueenStateTable extends Owned {
  queen_id: string;
  box_id: string;
  colony_id: string;
  name: string | null;
  /** Her mother's name as it was typed, or her id where she stands in the record. */
  mother: string | null;
  mother_id: string | null;
  round_id: string | null;
  birth_year: number | null;
  colour: string | null;
  number: string | null;
  since: Day;
  gone: string | null;
  told: Stored<object>;
}
/** Every piece of work that is expected, one row each. */
export interface DueStateTable extends Owned {
  box_id: string;
  position: number;
  kind: string;
  yard_id: string | null;
  due_from: Day;
  due_to: Day;
  lapses: boolean;
  /** Which, where several of the kind stand; empty else. */
  key: string;
}

export interface SensorReadingTable extends Owned {
  box: string;
  measure: string;
  at: string;
  value: number | null;
  raw: string;
  flag: string | null;
}

export type EventRow = Selectable<EventTable>;
export type ReadRows = {
  boxes: Insertable<BoxStateTable>[];
  compartments: Insertable<CompartmentStateTable>[];
  attempts: Insertable<AttemptStateTable>[];
  queens: Insertable<QueenStateTable>[];
  due: Insertable<DueStateTable>[];
  toSettle: Insertable<EventToSettleTable>[];
};
export type RoundInsert = Insertable<RoundStateTable>;
export type WeatherInsert = Insertable<WeatherDayTable>;

export interface WorkshopTable extends Owned {
  version: number;
  currency: string;
  kerf_mm: number;
  printer: Json<object> | null;
  plastic: number | null;
  /** Prices of fittings by their key. */
  fittings: Json<object>;
}
/** A line of what a breeder keeps lists of: `place` is where it stands in its list. */
interface ListLine extends Owned {
  id: string;
  place: number;
}
export interface StockSheetTable extends ListLine {
  name: string;
  material: string;
  thickness_mm: number;
  width_mm: number;
  height_mm: number;
  at_hand: number | null;
  price: number | null;
}
export interface EquipmentTable extends ListLine {
  kind: string;
  name: string;
  count: number;
  finish: string;
  condition: string;
  kept_at: string;
  missing: string;
  format: string | null;
  comb: string | null;
  slot_mm: number | null;
}
