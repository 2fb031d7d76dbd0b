import { defineStore } from 'pinia'
import { ref } from 'vue'
import { ApiError } from '../api/client'
import type { Notice } from '../api/types'

export const useNotices = defineStore('notices', () => {
  const current = ref<Notice>()
  const isShown = ref(false)

  function say(text: string, action?: Notice['action']): void {
    current.value = { text, tone: 'done', action }
    isShown.value = true
  }

  function complain(error: unknown): void {
    if (error instanceof DOMException && error.name === 'AbortError') return
    const text = error instanceof ApiError ? error.message : 'Something went wrong; nothing was changed.'
    current.value = { text, tone: 'problem' }
    isShown.value = true
  }

  return { current, isShown, say, complain }
})
