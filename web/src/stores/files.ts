import { defineStore } from 'pinia'
import { api, ask } from '../api/client'
import type { Schemas } from '../api/types'

/** What is kept as the content of files, and back. */
export const useFiles = defineStore('files', () => {
  const recipe = (id: number, format: string): Promise<Schemas['FileOut']> =>
    ask(
      api.GET('/api/recipes/{recipe_id}/export', {
        params: { path: { recipe_id: id }, query: { format } },
      }),
    )
  const everything = (): Promise<Schemas['FileOut']> => ask(api.GET('/api/backup'))
  const bringBack = (content: string): Promise<Schemas['RestoredOut']> =>
    ask(api.POST('/api/restore', { body: { content } }))
  const undoBringBack = (keptAs: string): Promise<Schemas['RestoredOut']> =>
    ask(api.POST('/api/restore/undo', { body: { kept_as: keptAs } }))
  return { recipe, everything, bringBack, undoBringBack }
})
