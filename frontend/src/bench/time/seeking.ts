import { ref } from 'vue'

/** Where the playhead is wanted, ms since the open scene began; the bench takes it there. */
export const wantedMs = ref<number | null>(null)
