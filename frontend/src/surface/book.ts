import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Group } from '../api/surfaces'
import type { DocumentAnswer } from '../api/types'
import { useDocument } from '../document/useDocument'
import { newToken } from '../plan/token'
import { useSession } from '../session/session'

type BookAnswer = DocumentAnswer & { groups: Group[] }

/** The site's book: a document like all others. For now it holds the groups. */
export const useBook = defineStore('book', () => {
  const session = useSession()
  const groups = shallowRef<Group[]>([])
  const client = useDocument<BookAnswer>({ take, view: () => ({}), mayChange: () => session.may('mount') })

  function take(answer: BookAnswer): void {
    groups.value = answer.groups
  }

  /** As the site's elevation has it; opened for changes by who may make them. */
  async function open(book: { document: string; groups: Group[] } | null): Promise<void> {
    groups.value = book?.groups ?? []
    if (book && session.may('mount') && client.id.value !== book.document) await client.open(book.document)
  }

  /** The id of the new group; null when it was refused. */
  async function add(name: string): Promise<string | null> {
    const group = `g-${newToken().slice(0, 12)}`
    return (await client.send([{ do: 'group.put', group, name }])) ? group : null
  }
  const rename = (group: string, name: string): Promise<boolean> =>
    client.send([{ do: 'group.put', group, name }], `groups ${group}`)
  const remove = (group: string): Promise<boolean> => client.send([{ do: 'group.remove', group }])
  /** One place up. */
  const lift = (index: number): Promise<boolean> =>
    client.send([{ do: 'group.move', group: groups.value[index]!.id, before: groups.value[index - 1]!.id }])
  const named = (id: string): string => groups.value.find((one) => one.id === id)?.name ?? ''

  return {
    groups,
    undo: client.undo,
    error: client.refusal,
    conflict: client.conflict,
    resolve: client.resolve,
    step: client.step,
    open,
    add,
    rename,
    remove,
    lift,
    named,
  }
})
