/** Values kept in the browser, so that a reload loses nothing; memory stands in where the browser keeps nothing. */
const memory = new Map<string, string>()

export const stored = {
  get<T>(key: string, otherwise: T): T {
    try {
      const text = localStorage.getItem(key) ?? memory.get(key)
      return text === undefined || text === null ? otherwise : (JSON.parse(text) as T)
    } catch {
      return otherwise
    }
  },
  set(key: string, value: unknown): void {
    const text = JSON.stringify(value)
    memory.set(key, text)
    try {
      localStorage.setItem(key, text)
    } catch {
      // Full or forbidden: memory holds it until the page is closed.
    }
  },
  remove(key: string): void {
    memory.delete(key)
    try {
      localStorage.removeItem(key)
    } catch {
      // As above.
    }
  },
}
