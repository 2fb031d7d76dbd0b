import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { api, ask } from '../api/client'
import type { Choices, Schemas, Settings } from '../api/types'
import { tellHeatIn, writeWith } from '../logic/format'

/** What can be chosen, and what this household has chosen. */
export const useHousehold = defineStore('household', () => {
  const choices = ref<Choices>()
  const settings = ref<Settings>({
    daily_limit_g: 25,
    diets: [],
    cupboard: null,
    prices: {},
    decimal_sign: '.',
    sleep: '22:30-06:30',
    oven_fan: false,
    oven_offset_c: 0,
    oven_hot_side: '',
    ovens: [],
    oven: '',
    units: 'recipe',
    cup: '',
    temperature: 'c',
    currency: '',
    tins: [],
    scoops: [],
    paper: 'a4',
    planned: [],
  })
  watch(
    () => settings.value.decimal_sign,
    (sign) => writeWith(sign),
    { flush: 'sync' },
  )
  watch(
    () => settings.value.temperature,
    (scale) => tellHeatIn(scale),
    { flush: 'sync' },
  )
  let loading: Promise<void> | undefined

  function load(): Promise<void> {
    loading ??= Promise.all([ask(api.GET('/api/choices')), ask(api.GET('/api/settings'))])
      .then(([allChoices, stored]) => {
        choices.value = allChoices
        settings.value = stored
      })
      .catch((error: unknown) => {
        loading = undefined
        throw error
      })
    return loading
  }

  /** Asks again: another household's data may be there now. */
  function reload(): Promise<void> {
    loading = undefined
    return load()
  }

  async function change(changes: Schemas['SettingsIn']): Promise<void> {
    settings.value = await ask(api.PATCH('/api/settings', { body: changes }))
  }

  return { choices, settings, load, reload, change }
})
