import { useLocalStorage } from '@vueuse/core'
import { watchEffect, type Ref } from 'vue'

/** The night sheet: the same drawing office by lamplight. Kept on this browser. */
const night = useLocalStorage('sheet:night', false)

/** Puts it on and off the whole page; begun once. */
export function followNight(): void {
  watchEffect(() => {
    document.documentElement.dataset['sheet'] = night.value ? 'night' : 'day'
    document.documentElement.dataset['bsTheme'] = night.value ? 'dark' : 'light'
  })
}
export const useNight = (): Ref<boolean> => night
