/**
 * What a browser remembers is kept by `useLocalStorage` of VueUse, which stands a full or a forbidden store
 * and tells other tabs. Switches are written as they were before it: on or off.
 */
export const ON_OFF = {
  // What nobody chose is not remembered: a window may grow.
  writeDefaults: false,
  serializer: { read: (text: string) => text === 'on', write: (on: boolean) => (on ? 'on' : 'off') },
}
