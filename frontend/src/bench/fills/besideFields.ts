import { shallowReactive } from 'vue'

/** Which refusals are said beside a field that is on screen, by their path. */
export const besideFields = shallowReactive(new Set<(path: string) => boolean>())
