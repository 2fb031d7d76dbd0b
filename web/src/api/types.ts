/** The contract's shapes by the names that the screens use. */
import type { components } from '../../gen/contract'

export type Schemas = components['schemas']
export type Recipe = Schemas['RecipeOut']
export type Method = Schemas['MethodOut']
export type ShelfRow = Schemas['ShelfRowOut']
export type Plan = Schemas['PlanOut']
export type PlanLine = Schemas['PlanLineOut']
export type Reading = Schemas['ReadingOut']
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
export type Difference = Schemas['DifferenceOut']

/** A wish with nothing of the path's left open. */
export type BenchGoals = Required<Omit<Goals, 'cup'>>

/** Free sugar of one portion, and how a path's own preset comes out. */
export interface PathGlance {
  status: Plan['status'] | 'none'
  freeSugar: number
  words: string
}

/** What was decided of a line: a food at a weight, or nothing of it. */
