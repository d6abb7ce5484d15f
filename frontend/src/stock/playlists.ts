import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { playlistsOf, type PlaylistLine } from '../api/playlists'
import { useSession } from '../session/session'

/** The playlists of the site's Stock. */
export const usePlaylists = defineStore('playlists', () => {
  const session = useSession()
  const all = shallowRef<PlaylistLine[]>([])
  const loaded = ref(false)
  async function load(): Promise<void> {
    const lines = await playlistsOf(session.slug).catch(() => null)
    if (lines) all.value = lines
    loaded.value = true
  }
  const find = (id: string): PlaylistLine | undefined => all.value.find((one) => one.id === id)
  return { all, loaded, load, find }
})
