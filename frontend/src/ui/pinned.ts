import { ref } from 'vue'

/** The instant that everything on screen is of, as the site says it, `2027-04-01T07:00:00`; null: the present. */
export const pinned = ref<string | null>(null)

const day = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
})
export const civilWords = (civil: string): string => `${day.format(new Date(`${civil}Z`))}, ${civil.slice(11)}`
