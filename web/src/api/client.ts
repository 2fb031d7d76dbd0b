import createClient from 'openapi-fetch'
import type { components, paths } from '../../gen/contract'

export type Schemas = components['schemas']
export type Recipe = Schemas['RecipeOut']
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
export type Metric = Schemas['MetricOut']

export const api = createClient<paths>({ baseUrl: '' })

/** What the server said was wrong, or that it could not be reached. */
export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field: string | null,
    readonly status: number,
  ) {
    super(message)
  }
}

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

/** Returns the data of a call, or throws an ApiError with the server's own sentence. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await call
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    throw new ApiError(
      'offline',
      'Sun Crumb does not answer. What you typed is kept; is it still running?',
      null,
      0,
    )
  }
  if (answer.data !== undefined) return answer.data
  const told = (answer.error as Schemas['ErrorOut'] | undefined)?.error
  throw new ApiError(
    told?.code ?? 'unexpected',
    told?.message ?? 'Something went wrong; nothing was changed.',
    told?.field ?? null,
    answer.response.status,
  )
}
