/** The part of hoodiecrow-imap that the tests use: the package carries no types. */
declare module 'hoodiecrow-imap' {
  import type { Server } from 'node:net'
  interface Message {
    readonly raw: string
    readonly flags?: readonly string[]
  }
  export default function hoodiecrow(options: {
    readonly storage: Readonly<Record<string, { readonly messages: readonly Message[] }>>
  }): { readonly server: Server; readonly listen: (port: number, done: () => void) => void }
}
