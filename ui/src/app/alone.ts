/** Does something in one tab of the browser at a time (Web Locks); a closed tab lets go. */
export const alone = async (name: string, work: () => Promise<void>): Promise<void> => {
  const locks = globalThis.navigator?.locks
  // Without HTTPS there are none: then tabs send beside each other, and the server counts each word once.
  await (locks ? locks.request(name, work) : work())
}
