/** The contract's shapes by the names that the screens use. */
import type { components } from '../../gen/contract'

export type Schemas = components['schemas']
export type Recipe = Schemas['RecipeOut']
export type Method = Schemas['MethodOut']
export type ShelfRow = Schemas['ShelfRowOut']
export type Plan = Schemas['PlanOut']
export type PlanLine = Schemas['PlanLineOut']
export type Reading = Schemas['ReadingOut']
export type TextLine = Schemas['TextLineOut']
export type Role = NonNullable<TextLine['role']>
export type ReadLine = Schemas['ReadLineOut']
export type Goals = Schemas['WishIn']
export type Choices = Schemas['ChoicesOut']
export type Settings = Schemas['SettingsOut']
export type Ledger = Schemas['LedgerOut']
export type Ingredient = Schemas['IngredientOut']
export type Detail = Schemas['IngredientDetailOut']
export type Sweetener = Schemas['SweetenerOut']
export type Label = Schemas['LabelIn']
export type Product = Schemas['ProductOut']
export type Metric = Schemas['MetricOut']
export type PathSide = Schemas['PathSideOut']
export type FrontierPoint = Schemas['FrontierPointOut']
export type Relaxation = Schemas['RelaxationOut']
export type Checked = Schemas['CheckedOut']
export type Difference = Schemas['DifferenceOut']

/** A wish with nothing of the path's left open. */
export type BenchGoals = Required<Omit<Goals, 'cup'>>

/** Free sugar of one portion, and how a path's own preset comes out. */
export interface PathGlance {
  status: Plan['status'] | 'none'
  freeSugar: number
  words: string
}

/** What the reader decided about one line of the text. */
export interface Decision {
  ingredient: string
  name: string
  grams: number
  isLeftOut?: boolean
}

export interface ShownLine extends ReadLine {
  index: number
  decisionKey: string
  decision?: Decision
  isOpen: boolean
}

/** So many equal portions, with their share of some components. */
export interface PortionKind {
  name: string
  count: number
  components: string[]
}

/** What is said at the foot of the screen, and what may be done about it. */
export interface Notice {
  text: string
  tone: 'done' | 'problem'
  action?: { label: string; run: () => unknown }
}

/** Portions eaten, as the log's form has them. */
export interface Slice {
  bake: Ledger['bakes'][number]
  day: string
  count: number
  who: string
}
export type BakeDay = Schemas['BakeDayOut']
export type MethodStep = Schemas['MethodStepOut']
export type Schedule = Schemas['ScheduleOut']
export type PlacedTask = Schemas['PlacedTaskOut']
export type Timer = Schemas['TimerOut']
export type Device = Schemas['DeviceOut']
export type WeighedIn = Schemas['WeighedInOut']
export type ToWeigh = Schemas['ToWeighOut']
export type WayOn = Schemas['WayOnOut']
export type StepUse = MethodStep['uses'][number]
export type BakeRecord = Schemas['BakeRecordOut']
export type Judged = Schemas['JudgedOut']
export type Aspect = Schemas['AspectOut']
export type Why = Schemas['WhyOut']
export type Progress = Schemas['ProgressOut']
export type Branch = Schemas['BranchOut']
export type Lesson = Schemas['LessonOut']
export type Tasting = Schemas['TastingOut']
export type Panels = Schemas['PanelsOut']
export type Person = Schemas['PersonOut']
export type People = Schemas['PeopleOut']
export type Span = Schemas['SpanOut']
export type SumRow = Schemas['LedgerSumOut']
export type DiaryEntry = Schemas['EntryOut']
export type UsualSlips = Schemas['UsualSlipsOut']
export type Challenge = Schemas['ChallengeOut']
export type ToldApart = Schemas['TestOut']

/** A taster's sheet as it is filled in. */
export interface Sheet {
  scores: Record<string, number>
  who: string
  state: 'warm' | 'cool' | 'next_day'
  is_blind: boolean
  words: string
}
export type Apart = Schemas['ApartOut']
/** One of two desserts that are compared: a version of the shelf, or a food of the pantry. */
export type Compared = Schemas['SideIn']

/** A bake that is planned: which version, when it is on the table and when to begin. */
export type PlannedBake = Schemas['SettingsOut']['planned'][number]
