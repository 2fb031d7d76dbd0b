import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask } from '../api/client'
import type { Challenge, DiaryEntry, Schemas, Span, UsualSlips } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { clientKey } from '../logic/draft'

export type By = 'day' | 'week' | 'month' | 'person' | 'recipe' | 'time'

interface Asked {
  since: string
  until: string
  definition: string
  who: string
}

/** Sums over days in the definition that is counted, a day's diary, slips, challenges. */
export const useDiary = defineStore('diary', () => {
  const spans = ref<Partial<Record<By, Span>>>({})
  const entries = ref<DiaryEntry[]>([])
  /** Between what the sugar of the span lies nine times in ten; it comes after the sums. */
  const doubt = ref<Schemas['IntervalOut']>()
  const latestDoubt = useLatest<Schemas['IntervalOut']>()
  const usual = ref<UsualSlips>()
  const challenges = ref<Challenge[]>([])
  const latestSpans = useLatest<[By, Span][]>()
  const latestEntries = useLatest<DiaryEntry[]>()
  let asked: { span: Asked; by: By[] } | undefined
  let day: Asked | undefined

  async function loadSpans(span: Asked, by: By[]): Promise<void> {
    asked = { span, by }
    const found = await latestSpans((signal) =>
      Promise.all(
        by.map(async (one): Promise<[By, Span]> => {
          const query = { ...span, by: one }
          return [one, await ask(api.GET('/api/diary/sums', { params: { query }, signal }))]
        }),
      ),
    )
    if (found) spans.value = Object.fromEntries(found)
    doubt.value = await latestDoubt((signal) =>
      ask(api.GET('/api/diary/doubt', { params: { query: span }, signal })),
    )
  }

  async function loadEntries(span: Asked): Promise<void> {
    day = span
    const found = await latestEntries(async (signal) => {
      const answer = await ask(api.GET('/api/diary', { params: { query: span }, signal }))
      return answer.entries
    })
    if (found) entries.value = found
  }

  async function loadUsual(): Promise<void> {
    usual.value ??= await ask(api.GET('/api/slips/usual'))
  }

  async function loadChallenges(): Promise<void> {
    challenges.value = (await ask(api.GET('/api/challenges'))).challenges
  }

  /** Everything on the screen once more, after something was noted or taken back. */
  async function again(): Promise<void> {
    await Promise.all([
      asked && loadSpans(asked.span, asked.by),
      day && loadEntries(day),
      challenges.value.length ? loadChallenges() : undefined,
    ])
  }

  async function addSlip(slip: Schemas['SlipIn']): Promise<DiaryEntry> {
    const made = await ask(api.POST('/api/slips', { body: { ...slip, client_key: clientKey() } }))
    await again()
    return made
  }

  async function remove(entry: DiaryEntry): Promise<void> {
    if (entry.kind === 'slip')
      await ask(api.DELETE('/api/slips/{slip_id}', { params: { path: { slip_id: entry.id } } }))
    else await ask(api.DELETE('/api/servings/{serving_id}', { params: { path: { serving_id: entry.id } } }))
    await again()
  }

  async function restore(entry: DiaryEntry): Promise<void> {
    if (entry.kind === 'slip')
      await ask(api.POST('/api/slips/{slip_id}/restore', { params: { path: { slip_id: entry.id } } }))
    else
      await ask(
        api.POST('/api/servings/{serving_id}/restore', { params: { path: { serving_id: entry.id } } }),
      )
    await again()
  }

  async function addChallenge(challenge: Schemas['ChallengeIn']): Promise<void> {
    await ask(api.POST('/api/challenges', { body: challenge }))
    await loadChallenges()
  }

  async function removeChallenge(id: number): Promise<void> {
    const path = { challenge_id: id }
    await ask(api.DELETE('/api/challenges/{challenge_id}', { params: { path } }))
    await loadChallenges()
  }

  async function restoreChallenge(id: number): Promise<void> {
    const path = { challenge_id: id }
    await ask(api.POST('/api/challenges/{challenge_id}/restore', { params: { path } }))
    await loadChallenges()
  }

  async function bring(content: string): Promise<Schemas['BroughtOut']> {
    const done = await ask(api.POST('/api/diary/file', { body: { content } }))
    await again()
    return done
  }

  return {
    spans,
    doubt,
    entries,
    usual,
    challenges,
    loadSpans,
    loadEntries,
    loadUsual,
    loadChallenges,
    again,
    addSlip,
    remove,
    restore,
    addChallenge,
    removeChallenge,
    restoreChallenge,
    bring,
  }
})
