import createClient from 'openapi-fetch'
import type { paths } from '../../gen/contract'
import type { Schemas } from './types'

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
