/** A browser's localStorage, for tests: what is given to it is there at once. */
export function storage(): Storage {
  const held = new Map<string, string>()
  const own = {
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => void held.set(key, value),
    removeItem: (key: string) => void held.delete(key),
    clear: () => held.clear(),
    key: (index: number) => [...held.keys()][index] ?? null,
  }
  return new Proxy(own as Storage, {
    get: (target, name) => (name === 'length' ? held.size : target[name as keyof Storage]),
    ownKeys: () => [...held.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  })
}
