import { onMounted, onUnmounted, ref, type Ref } from 'vue'

/**
 * True once a first picture of the place has been drawn: what is large and holds its room anyhow comes right after,
 * so that what a person looks at first does not wait for the rest.
 */
export function useDrawn(): Ref<boolean> {
  const drawn = ref(false)
  let frame = 0
  onMounted(() => {
    // The first callback runs before that picture, the second behind it.
    frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => {
        drawn.value = true
      })
    })
  })
  onUnmounted(() => cancelAnimationFrame(frame))
  return drawn
}
