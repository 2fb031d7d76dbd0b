import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask } from '../api/client'
import type { Lesson, People, Person, Schemas } from '../api/types'
import { clientKey } from '../logic/draft'

/** The household's people, and what its tastings have taught. */
export const usePeople = defineStore('people', () => {
  const people = ref<Person[]>([])
  const choices = ref<Omit<People, 'people'>>()
  const lessons = ref<Lesson[]>([])

  async function load(): Promise<void> {
    const { people: found, ...rest } = await ask(api.GET('/api/people'))
    people.value = found
    choices.value = rest
  }

  async function loadLessons(): Promise<void> {
    lessons.value = (await ask(api.GET('/api/learned'))).lessons
  }

  async function add(name: string): Promise<void> {
    await ask(api.POST('/api/people', { body: { name, client_key: clientKey() } }))
    await load()
  }

  async function change(id: number, changes: Schemas['PersonChangesIn']): Promise<void> {
    await ask(api.PATCH('/api/people/{person_id}', { params: { path: { person_id: id } }, body: changes }))
    await load()
  }

  async function remove(id: number): Promise<void> {
    await ask(api.DELETE('/api/people/{person_id}', { params: { path: { person_id: id } } }))
    await load()
  }

  async function restore(id: number): Promise<void> {
    await ask(api.POST('/api/people/{person_id}/restore', { params: { path: { person_id: id } } }))
    await load()
  }

  async function forget(): Promise<void> {
    await ask(api.DELETE('/api/learned'))
    await loadLessons()
  }

  async function learnAgain(): Promise<void> {
    lessons.value = (await ask(api.POST('/api/learned/restore'))).lessons
  }

  return { people, choices, lessons, load, loadLessons, add, change, remove, restore, forget, learnAgain }
})
