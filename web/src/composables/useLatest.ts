/** Runs calls so that only the newest one's answer counts; older ones are aborted and never painted. */
export function useLatest<T>(): (call: (signal: AbortSignal) => Promise<T>) => Promise<T | undefined> {
  let controller: AbortController | undefined
  return async (call) => {
    controller?.abort()
    const mine = new AbortController()
    controller = mine
    try {
      const answer = await call(mine.signal)
      return controller === mine ? answer : undefined
    } catch (error) {
      if (controller !== mine) return undefined
      throw error
    }
  }
}
