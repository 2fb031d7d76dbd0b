/** Keeps what is being typed in the browser, so that a reload loses nothing. */
export function keepDraft(key: string, value: unknown): void {
  try {
    localStorage.setItem(`sun-crumb.${key}`, JSON.stringify(value))
  } catch {
    // A full or forbidden storage only means that a reload starts empty.
  }
}

export function draft<T>(key: string, fallback: T): T {
  try {
    const text = localStorage.getItem(`sun-crumb.${key}`)
    return text === null ? fallback : (JSON.parse(text) as T)
  } catch {
    return fallback
  }
}

/** A key that makes a repeated request harmless. */
export function clientKey(): string {
  return crypto.randomUUID()
}
