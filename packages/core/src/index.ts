export { type CompassPoint, compassPoint, sideBearing } from './box/compass.ts';
export { designChanges } from './box/designChanges.ts';
export {
  dividerRange,
  hasEqualSlack,
  type NewBody,
  newDesign,
  sidesOf,
  withCompartments,
  withDividerAt,
  withEntranceSide,
  withEqualSlack,
} from './box/editDesign.ts';
export { fit, fitProblems, fitVerdict, framesWidth } from './box/fit.ts';
export { fitSentence, fitWord } from './box/fitSentence.ts';
export { gap } from './box/gap.ts';
export {
  type BoxModel,
  type Compartment,
  compartmentBays,
  deriveBox,
  designProblems,
  fitQuestionOf,
} from './box/model.ts';
export { compartmentNames } from './box/names.ts';
export {
  framesOf,
  rearranged,
  thicknessOf,
  withCompartmentCount,
  withFramesIn,
  withThickness,
} from './box/reviseDesign.ts';
export { upgradeDesign } from './box/schemaVersion.ts';
export { standardDesign } from './box/standardDesign.ts';
export { daylightHours } from './calendar/daylight.ts';
export { type Day, dayOf, daysBetween, earlier, instantOf, later, plusDays } from './calendar/days.ts';
export { showDay, showWindow } from './calendar/showDay.ts';
export {
  type ConstantName,
  type Constants,
  constantProblem,
  constantsWith,
  defaultConstants,
  registry,
} from './constants.ts';
export {
  boxFromAbove,
  type DimensionShape,
  type Drawing,
  type RectRole,
  type RectShape,
} from './drawing/fromAbove.ts';
export { frameFormat, type StandardFormat, standardFormats, standardOf } from './formats/formats.ts';
export { layouts, layoutsProblems } from './layout/layouts.ts';
export { cells, cellsProblems } from './mating/cells.ts';
export { clearestDifference } from './mating/compareRates.ts';
export { type TakeRate, takeRate } from './mating/takeRate.ts';
export { TOLERANCE } from './numbers.ts';
export { ProblemsError } from './problems.ts';
export { type Random, seededRandom } from './random.ts';
export { reach, reachProblems } from './reach/reach.ts';
export { MM_PER_INCH, type ParsedLength, parseLength, showLength, showLengthBare } from './units/length.ts';
export { compartmentsOf, designOf, type StandingCompartment } from './yard/compartments.ts';
export { futureProblem } from './yard/entryProblem.ts';
export {
  type Expectation,
  expectationsOf,
  failBy,
  firstExpectation,
  flightWindow,
  type Urgency,
  urgencyOn,
  type Weather,
} from './yard/expectations.ts';
export { chronicle, fold, foldChronicle } from './yard/fold.ts';
export { type Outcome, outcomeOf, type Verdict, verdictOn } from './yard/outcome.ts';
export type { Attempt, BoxState, Colony, Designs, Known, Round, YardState } from './yard/state.ts';
export { failWords, fateWords, statusWords } from './yard/statusWords.ts';
export { subjectsOf } from './yard/subjects.ts';
export { type StatusEvent, statusAfter, transitions, transitionTable } from './yard/transitions.ts';
