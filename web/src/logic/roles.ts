import type { Role } from '../api/types'

/** What a line of a recipe may be, in the words of the margin. */
export const ROLES: { key: Role; name: string }[] = [
  { key: 'title', name: 'title' },
  { key: 'portions', name: 'portions' },
  { key: 'time', name: 'time' },
  { key: 'heading', name: 'heading' },
  { key: 'food', name: 'food' },
  { key: 'continuation', name: 'goes on' },
  { key: 'step', name: 'step' },
  { key: 'note', name: 'note' },
  { key: 'chatter', name: 'talk' },
  { key: 'junk', name: 'nothing' },
]
