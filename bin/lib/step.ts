/** Each step of a start or a test prints one line. */
export const ROOT = new URL('../..', import.meta.url).pathname

export function step(text: string): void {
  console.log(`· ${text}`)
}

/** A line that is written over while something long goes on; plain lines where there is no terminal. */
export function progress(text: string): void {
  if (process.stdout.isTTY) process.stdout.write(`\r\x1b[K  ${text}`)
  else console.log(`  ${text}`)
}

export function progressDone(): void {
  if (process.stdout.isTTY) process.stdout.write('\r\x1b[K')
}

/** Ends the command with a sentence and no stack. */
export class Stop extends Error {}

/** Runs a command's main function; what stops it is said in one line. */
export function main(run: () => Promise<void>): void {
  run().catch((error: unknown) => {
    console.error(error instanceof Stop ? `Critica stopped: ${error.message}` : error)
    process.exitCode = 1
  })
}
