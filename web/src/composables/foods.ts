import { inject, type InjectionKey } from 'vue'
import type { Ingredient } from '../api/types'

type Find = (words: string) => Promise<Ingredient[] | undefined>

/** How a field deep in the screen looks up foods: the place above it says. */
export const FIND_FOODS: InjectionKey<Find> = Symbol('find foods')

export const useFindFoods = (): Find => inject(FIND_FOODS, async () => [])
