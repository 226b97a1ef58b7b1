export { air, airProblems } from './air/air.ts';
export { breath } from './air/breath.ts';
export { dewPoint, moisture, saturation } from './air/moisture.ts';
export { bayGroups, columnsOf, framesIn, placesIn } from './box/columns.ts';
export { type CompassPoint, compassPoint, sideBearing } from './box/compass.ts';
export { designChanges } from './box/designChanges.ts';
export { designProblems, fitQuestionOf } from './box/designProblems.ts';
export { isRim, withRimDivided } from './box/divideRim.ts';
export { type Drift, type DriftRisk, MARK_COLOURS, MARK_SHAPES, markUnlike } from './box/drift.ts';
export { withDummy } from './box/dummy.ts';
export {
  dividerRange,
  equalPlaces,
  hasEqualSlack,
  thicknessOf,
  withCompartmentCount,
  withCompartments,
  withDividerAt,
  withEqualSlack,
  withFrameMoved,
  withFramesIn,
  withSizes,
  withThickness,
} from './box/editDesign.ts';
export { sidesOf, withEntranceAdded, withProposedEntrances, withVentAdded } from './box/entrances.ts';
export { rightlyNamed } from './box/familyName.ts';
export {
  fit,
  fitCountProblems,
  fitPlaceProblems,
  fitPlacesMissing,
  fitProblems,
  fitVerdict,
  fitWidthProblems,
  framesWidth,
} from './box/fit.ts';
export { fitSentence, fitWord } from './box/fitSentence.ts';
export { gap } from './box/gap.ts';
export type { Gap } from './box/gaps.ts';
export { type HandPlace, handPlacesFor } from './box/handPlace.ts';
export { layerName, sheetWords } from './box/layerName.ts';
export { type LimitName, limitsOf, limitTable } from './box/limits.ts';
export {
  type BoxModel,
  type Compartment,
  compartmentBays,
  deriveBox,
  isEntrance,
  reachQuestionOf,
  type ServedOpening,
} from './box/model.ts';
export { compartmentNames } from './box/names.ts';
export { newBoard } from './box/newBoard.ts';
export { type NewBody, newDesign } from './box/newDesign.ts';
export {
  bodyWith,
  findPart,
  type Part,
  type PartPatch,
  withBody,
  withLayers,
  withoutPart,
  withPart,
} from './box/parts.ts';
export type { Passage } from './box/passages.ts';
export { coverSheet, EXCLUDER_SLOT_MM, emptyBody, MESH_MM, paneOf, tightBoard } from './box/plainParts.ts';
export { upgradeDesign } from './box/schemaVersion.ts';
export { bodyName, type Space } from './box/spaces.ts';
export { bayIdsOf, bodiesOf, mainBody, sheetsOf } from './box/stack.ts';
export { withCover, withExcluder, withRim, withStorey } from './box/stackAdds.ts';
export { withLayerAt, withoutLayer } from './box/stackMoves.ts';
export { standardBody, standardDesign } from './box/standardDesign.ts';
export { withPrinted } from './box/withPrinted.ts';
export { daylightHours } from './calendar/daylight.ts';
export {
  type Day,
  dayAt,
  dayOf,
  daysBetween,
  earlier,
  endOfDay,
  instantOf,
  later,
  plusDays,
} from './calendar/days.ts';
export { monthFirsts, monthNames, monthShort, shortMonths } from './calendar/months.ts';
export { roundCalendar, roundProblems } from './calendar/roundCalendar.ts';
export { type SeasonYear, seasonYear, seasonYearOf } from './calendar/seasonYear.ts';
export { showDay, showInstant, showTime, showWindow, withoutYear } from './calendar/showDay.ts';
export { clockBySun, type SunPlace, sunset } from './calendar/sunClock.ts';
export { boardNames } from './carpentry/boardPieces.ts';
export { SHEETS as sheetsCaution } from './carpentry/cautions.ts';
export { fileName } from './carpentry/fileName.ts';
export { fittingNames } from './carpentry/fittings.ts';
export { parts, partsProblems } from './carpentry/parts.ts';
export {
  bedProblem,
  printedSolids,
  printerFor,
  printPlan,
  printsIt,
  usualPrinter,
} from './carpentry/print.ts';
export { equipmentProblem, readyFrames, spareCombWords } from './carpentry/register.ts';
export {
  type LikeSheets,
  letterOf,
  likeSheets,
  type SawStep,
  sawSteps,
  sawWords,
} from './carpentry/sawing.ts';
export {
  boxesPerSheet,
  costOf,
  type SheetGroup,
  sheetGroups,
  type Wanted,
  worthKeeping,
} from './carpentry/sheets.ts';
export { buildSteps, earliestDays } from './carpentry/steps.ts';
export { stockAfter } from './carpentry/stockAfter.ts';
export { usualWorkshop } from './carpentry/workshop.ts';
export { check, checkProblems } from './check/answer.ts';
export { checkDesign } from './check/check.ts';
export { markWords } from './check/entranceRules.ts';
export { type GatheredCheck, gathered } from './check/gathered.ts';
export {
  type ConstantName,
  type Constants,
  constantGroups,
  constantProblem,
  constantsWith,
  defaultConstants,
  knownFigures,
  registry,
} from './constants/registry.ts';
export { switchOf } from './constants/switches.ts';
export { boxFromSide, faceOf } from './drawing/elevation.ts';
export { boxFromAbove } from './drawing/fromAbove.ts';
export { roomShare } from './drawing/roomShare.ts';
export { boxInSection } from './drawing/section.ts';
export type { DimensionShape, Drawing, RectRole, RectShape, View } from './drawing/shapes.ts';
export {
  MARK_PLATE,
  markPaint,
  markSigns,
  type SignPiece,
  type SignTone,
  sharedSign,
  statusSigns,
} from './drawing/signs.ts';
export { familyDesign } from './families/build.ts';
export { type FamilyCard, families, familyName } from './families/families.ts';
export { glazedAs } from './families/glazedAs.ts';
export { type ObservationKind, observation } from './families/observation.ts';
export { SYRUPS, storesPerKg } from './feed/feeds.ts';
export { frameFormat, type StandardFormat, standardFormats, standardOf } from './formats/formats.ts';
export { rebateFor } from './formats/lugs.ts';
export { type Becoming, become, becomings } from './layout/becomes.ts';
export { bestDrawn } from './layout/bestDrawn.ts';
export {
  layoutGroups,
  layouts,
  layoutsProblems,
  RANGES,
  rangeProblems,
  tooManyLayouts,
} from './layout/layouts.ts';
export { cells, cellsOutOfReach, cellsRecordProblems } from './mating/cells.ts';
export { clearestDifference } from './mating/compareRates.ts';
export { pooledRates, rateProblems } from './mating/pooledRates.ts';
export { type TakeRate, takeRate } from './mating/takeRate.ts';
export { nest, nestProblems, nestRounds } from './nest/nest.ts';
export { TOLERANCE } from './numbers.ts';
export type { Counts, Fact, Guide, Scene, Tally } from './playbooks/guidance/guidance.ts';
export { guidances } from './playbooks/guidance/guidances.ts';
export { shutSince } from './playbooks/guidance/shutSince.ts';
export { playbooks, playbookTable, stepOf } from './playbooks/playbooks.ts';
export {
  countsOf,
  openSteps,
  phaseOf,
  progressOf,
  type StepProgress,
} from './playbooks/progress.ts';
export { type Towards, towardsDay, towardsOf, towardsSentence } from './playbooks/towardsDay.ts';
export { beesCounted, seamsCounted } from './population/beesCounted.ts';
export { population, populationProblems } from './population/population.ts';
export { type StrengthAhead, strengthAhead } from './population/strengthAhead.ts';
export { ProblemsError } from './problems.ts';
export type { QuickAct, QuickAnswer } from './quick/answer.ts';
export type { QuickBox, QuickContext } from './quick/context.ts';
export { quick, quickProblems } from './quick/quick.ts';
export { readQuickLine } from './quick/quickLine.ts';
export type { Chip, Choice, Unread } from './quick/reading.ts';
export { type RoundEntry, type RoundLine, readRoundLine } from './quick/roundLine.ts';
export { type Random, seededRandom } from './random.ts';
export { flightWords } from './reach/flightWords.ts';
export {
  doorProblems,
  occupantProblems,
  passageProblems,
  reach,
  reachProblems,
  spaceProblems,
} from './reach/reach.ts';
export { barsOf, type CellFate, cellsLeft } from './rounds/cellsOf.ts';
export { type DonorRecord, donorRecords } from './rounds/donors.ts';
export { freeFrom } from './rounds/freeFrom.ts';
export { graftWindow } from './rounds/graftWindow.ts';
export { type IncubatorWatch, incubatorOf } from './rounds/incubator.ts';
export { isOpen, lotsOf, SEASON_BACK_D, stillWanted } from './rounds/lotsOf.ts';
export { oddsAsked } from './rounds/oddsAsked.ts';
export { type PlanChange, planChanges } from './rounds/planChanges.ts';
export { type QueensOdds, queensOdds } from './rounds/queensOdds.ts';
export {
  cellsExpected,
  type LotState,
  lotStates,
  type RipeDay,
  type RoundView,
  roomsByDay,
  roomsFor,
  roundFor,
  roundViews,
} from './rounds/rearing.ts';
export { isAhead, roundSteps } from './rounds/roundSteps.ts';
export { type RoundWants, roundWants } from './rounds/roundWants.ts';
export {
  type AskedWith,
  plansToChange,
  roundsOfPlan,
  type SeasonAsked,
  seasonAsked,
} from './rounds/seasonAsked.ts';
export { type SeasonChange, seasonChanges } from './rounds/seasonChanges.ts';
export type { Helper, SeasonHabits } from './rounds/seasonHabits.ts';
export { oddsProblems, seasonOdds } from './rounds/seasonOdds.ts';
export { seasonReplayed } from './rounds/seasonReplayed.ts';
export { type Taken, tracksOf } from './rounds/tracks.ts';
export { agesOf, type Virgins, virginsOf } from './rounds/virginsOf.ts';
export {
  celsiusIn,
  degreesOf,
  figures,
  inMeasures,
  lineMeasures,
  METRIC,
  measuresRaised,
  showKelvin,
  showTemperature,
  showVolume,
  showWeight,
} from './say/measures.ts';
export { capital, countOf, listOf } from './say/words.ts';
export { type GraftDay, graftDays } from './season/graftDays.ts';
export {
  changeOutside,
  seasonPlan,
  seasonProblems,
  seasonProgramme,
} from './season/seasonModel.ts';
export { judgeFeed, reportOf } from './sensors/judge.ts';
export { dailyWeights, type ScaleUse, scaleUse } from './sensors/scale.ts';
export { slugOf } from './slug.ts';
export { readCoordinate, showCoordinate } from './units/coordinates.ts';
export { MM_PER_INCH, type ParsedLength, parseLength, showLength, showLengthBare } from './units/length.ts';
export { R_UNITS, rIn, rOf } from './units/resistance.ts';
export { KG_PER, readWeight } from './units/weight.ts';
export { type Arranged, arrangements, arrangementsOf, surestFirst } from './warmth/arrangements.ts';
export {
  type BoxPhysics,
  boxPhysics,
  type CompartmentPhysics,
} from './warmth/boxPhysics.ts';
export {
  type BeeState,
  beesInSeason,
  type Conditions,
  groundTemperature,
  heatOf,
  usualConditions,
} from './warmth/conditions.ts';
export { dayInBox, warmestHours } from './warmth/day.ts';
export { resistanceOf, roofLayers, sheetLayer } from './warmth/materials.ts';
export { type ShutFor, shutFor, shutHere } from './warmth/occasions.ts';
export type { Doing, Regulated } from './warmth/regulation.ts';
export { shut, shutProblems } from './warmth/shut.ts';
export { SHUT_HOURS } from './warmth/shutBox.ts';
export { type Paint, sunAt } from './warmth/sun.ts';
export { warmth, warmthProblems } from './warmth/warmth.ts';
export { winterWalls } from './warmth/winterWalls.ts';
export { flyingShares } from './weather/flyingShares.ts';
export { type ReadWeather, readWeather } from './weather/readWeather.ts';
export { type AutumnAct, type AutumnLine, autumnList, autumnTime } from './winter/autumn.ts';
export type { End } from './winter/cavity.ts';
export { readClimate } from './winter/climate.ts';
export { lastDayOver } from './winter/climateDays.ts';
export { beesOfSeams, clusterRadius, effortWords, kgOfHeat, seamsOfBees, winter } from './winter/cluster.ts';
export {
  type FeedPlan,
  type FeedVisit,
  feedPlan,
  type StripsView,
  stripsOf,
  wanted,
} from './winter/feedPlan.ts';
export {
  calibrate,
  comesThrough,
  forecastWinter,
  type WinterForecast,
  type WinterPlan,
  winterAhead,
} from './winter/forecast.ts';
export { type WinterGroup, type WinterLosses, winterLosses } from './winter/losses.ts';
export { maxOn, meanOn, winterMonths, yearMean } from './winter/ownClimate.ts';
export {
  type Arrangement,
  type CavityWinter,
  type KeptFrame,
  type Preparation,
  type PreparedFrame,
  prepareRoom,
  pushedRow,
  type School,
  type WinterSeason,
} from './winter/preparation.ts';
export { reduce, reduceProblems } from './winter/reduce.ts';
export { type MonthBeside, type SideBySide, sideBySide, type WayBeside } from './winter/sideBySide.ts';
export { type SpringCount, springCount } from './winter/spares.ts';
export {
  isSpring,
  type SpringAct,
  type SpringLine,
  springFrom,
  springList,
} from './winter/spring.ts';
export type { SpringGrowth } from './winter/springGrowth.ts';
export { pushedWith } from './winter/together.ts';
export { type WarmSide, warmSide } from './winter/warmSide.ts';
export {
  throughOf,
  type WatchAct,
  type WatchLine,
  watchList,
  winterPhase,
} from './winter/watch.ts';
export { winterEntries } from './winter/winterEntries.ts';
export { winteringPlan, winteringProblems, winteringProgramme } from './winter/wintering.ts';
export { type YardChoice, yardChoice } from './winter/yardOptions.ts';
export { doing, type YardWay } from './winter/yardWay.ts';
export {
  type Apart,
  type ApartOptions,
  apart,
  type Beside,
  type Missing,
  thingsOf,
} from './yard/apart.ts';
export { type BoxView, boxViews, type CompartmentView, inOrderOfLabels, isDue } from './yard/boxView.ts';
export { type CalendarEntry, calendarEntries, lotEntries, roundEntries } from './yard/calendarEntries.ts';
export { clashesWith } from './yard/clash.ts';
export {
  COMB_COLUMNS,
  type CombField,
  combFields,
  combShares,
  fieldsAt,
} from './yard/combFields.ts';
export {
  compartmentsOf,
  designOf,
  drawnDesign,
  type StandingCompartment,
  versionOf,
} from './yard/compartments.ts';
export { feedUse } from './yard/due/careRules.ts';
export type { Expectation, Rule, Weather } from './yard/due/expectation.ts';
export { expectationsOf, rules } from './yard/due/rules.ts';
export { type Urgency, urgencyOn } from './yard/due/urgency.ts';
export {
  cellDay,
  failBy,
  failByFrom,
  flightWindow,
  flyingOn,
  WEATHER_BEARS_D,
} from './yard/due/weather.ts';
export { type WhileOpen, whileOpen } from './yard/due/whileOpen.ts';
export { winterAct, winterWork } from './yard/due/winterRules.ts';
export { clockProblem, futureProblem } from './yard/entryProblem.ts';
export { type Equalising, equalisings } from './yard/equalise.ts';
export { chronicle, fold, foldChronicle, foldOn } from './yard/fold.ts';
export { asOneYard, type BoxesLog, foldLog } from './yard/foldLog.ts';
export { type FrameAdvice, frameAdvice, inwardSides } from './yard/frameAdvice.ts';
export { attemptOf, inRoom } from './yard/inRoom.ts';
export { fairShare, type Side, type TrialSides } from './yard/many/fairShare.ts';
export { freePlaces, freeStands } from './yard/many/freePlaces.ts';
export { asAsked, isAsked, labelsFrom } from './yard/many/labels.ts';
export {
  alike,
  doorsOf,
  type ManyAct,
  type ManyRoom,
  manyActs,
  manyRooms,
  nextMark,
} from './yard/many/manyActs.ts';
export { mayBeOut } from './yard/mayBeOut.ts';
export { motherDoubt } from './yard/motherDoubt.ts';
export { openTrials } from './yard/openTrials.ts';
export { standingAmong } from './yard/order.ts';
export { type Outcome, outcomeOf, type Verdict, verdictOn } from './yard/outcome.ts';
export { restsUntil } from './yard/restsUntil.ts';
export { proposedRole, roleOf } from './yard/roles/roleOf.ts';
export { metIn, raisesIn, roleName, roles, roleTable } from './yard/roles/roles.ts';
export { type InBox, roomName } from './yard/roomName.ts';
export { isLetOut, roleSign, roomWords, statusLine } from './yard/roomWords.ts';
export { type RoomYear, roomYears, type Stretch } from './yard/roomYear.ts';
export { type FrameSlot, hangs, hangsComb, slotsOf } from './yard/slots.ts';
export { asEvent, stateOfStanding } from './yard/standing.ts';
export type { Designs, Known, YardState } from './yard/state.ts';
export {
  cellsToWords,
  combWords,
  conditionWords,
  confidenceWords,
  failWords,
  fateWords,
  feedWords,
  holdsWords,
  purposeWords,
  shortCheckWords,
  statusWords,
  troubleWords,
} from './yard/statusWords.ts';
export { framesWithoutPlace } from './yard/tell/framesAlong.ts';
export { type StatusEvent, statusAfter, transitions, transitionTable } from './yard/transitions.ts';
export { isKnown, raised, unknownSentence, upcasts } from './yard/upcast.ts';
export { type Spot, walkingOrder } from './yard/walk.ts';
export type { Act } from './yard/warn/act.ts';
export { kinOf, kinWords, staysAfterCombining } from './yard/warn/joining.ts';
export { type Situation, type Warning, warningSources } from './yard/warn/situation.ts';
export { cellsUntil } from './yard/warn/timeWarnings.ts';
export { warningsOf } from './yard/warn/warnings.ts';
export { type Whole, wholeIn } from './yard/whole.ts';
export { withoutQueen } from './yard/withoutQueen.ts';
export { yearColour } from './yard/yearColour.ts';
