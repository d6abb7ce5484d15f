import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Rect } from '../../plan/types'

/** What the canvas lets others do with how it is seen. */
export interface View {
  fit: () => void
  actual: () => void
  /** Screen px per canvas px. */
  to: (scale: number) => void
  by: (factor: number) => void
  around: (rect: Rect) => void
}

/** How the drawing is looked at; what is chosen here stays on this browser. */
export const useDrawing = defineStore('drawing', () => {
  const view = shallowRef<View | null>(null)
  return {
    view,
    mode: shallowRef<'fit' | 'true' | 'free'>('fit'),
    scale: shallowRef(1),
    mm: useLocalStorage('bench:mm', false),
    rulers: useLocalStorage('bench:rulers', true),
    /** Cells are dragged over to carve panes. */
    carving: shallowRef(false),
    /** The full screen shows the design alone. */
    alone: shallowRef(false),
  }
})
