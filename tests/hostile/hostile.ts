/**
 * `npm run hostile`: ten thousand generated files are handed in to a server of its own on the loopback address, two
 * at a time. None may be stored that cannot be opened again, none keeps anybody waiting, and memory stays bounded.
 * `npm run hostile -- 200 7`: how many, and the seed.
 */
import { randomBytes } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import { longestOf, type Timed, watchMachine } from '../load/machine'
import { watchMost } from '../load/memory'
import { conclude, figure } from '../load/figures'
import type { Person } from '../api/client'
import { House } from '../house'
import { waitsDuring } from '../probe'
import { hostileFiles } from './files'

const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number)
const AT_ONCE = 2,
  /** Nobody may hand in more than 200 a day. */
  A_LEARNER = 100,
  /** So often something is sent. */
  TRIES = 3,
  /** The machine is its own where others take less of it. Said beside the figures, which are of all of the time. */
  OWN = 0.05

interface Seen extends Timed {
  readonly kind: string
  readonly status: number
}

const house = await House.open({ learners: Math.ceil(count / A_LEARNER) })
const memory = watchMost(house.server.pid!),
  machine = watchMachine()
const seen: Seen[] = [],
  broken: (Timed & { readonly kind: string })[] = [],
  damaged: string[] = []
const files = hostileFiles(count, seed)

const start = performance.now(),
  takenSoFar = (): string => `${Math.round(100 * machine.taken())} % of this machine`
let begun = 0
/** As the page does: what a broken connection left unanswered is sent again. @throws when the server has ended. */
async function answered(ask: () => Promise<Response>): Promise<Response> {
  for (let left = TRIES - 1; ; left--) {
    const from = performance.now()
    try {
      return await ask()
    } catch (error) {
      const kind = String(((error as Error).cause as { code?: string } | undefined)?.code ?? error)
      broken.push({ kind, from: performance.timeOrigin + from, ms: performance.now() - from })
      if (left === 0 || house.server.exitCode !== null || house.server.signalCode !== null) throw error
      await wait(150)
    }
  }
}

async function handInAll(): Promise<void> {
  let who = -1,
    person!: Person
  for (let next = await files.next(); !next.done; next = await files.next()) {
    const { kind, bytes } = next.value,
      turn = Math.floor(begun++ / A_LEARNER)
    if (begun % 1000 === 0)
      console.log(`${begun} files, ${Math.round((performance.now() - start) / 1000)} s, others took ${takenSoFar()}`)
    if (turn !== who) person = await house.signedIn(`learner-${(who = turn)}`)
    const words = { key: randomBytes(16).toString('hex') },
      send = (): Promise<Response> => answered(() => person.handIn(bytes, words))
    let from = performance.now(),
      answer = await send()
    // A thousand wait to be measured: it is asked to come later, and does.
    while (answer.status === 503) {
      await wait(3000)
      from = performance.now()
      answer = await send()
    }
    const told = (await answer.json()) as { id?: number }
    seen.push({ kind, status: answer.status, from: performance.timeOrigin + from, ms: performance.now() - from })
    if (told.id === undefined) continue
    const full = await answered(() => person.fetch(`/submissions/${told.id}/picture/full`))
    if (full.status !== 200) damaged.push(`${kind}: the full size of piece ${told.id}`)
  }
}
const waits = await waitsDuring(house.origin, () => Promise.all(Array.from({ length: AT_ONCE }, handInAll)))

await house.allMeasured(600_000)
const unmeasured = (await house.states()).filter(state => state !== 'done').length
const held = memory.stop()
machine.stop()
await house.close()

const isOwn = (timed: Timed): boolean => machine.taken(timed) < OWN
function tellLongest(name: string, all: readonly (Timed & { readonly kind?: string })[]): void {
  const longest = [...all].sort((p, q) => q.ms - p.ms).slice(0, 5)
  const told = longest.map(t => `${Math.round(t.ms)} ms ${t.kind ?? ''} (${Math.round(100 * machine.taken(t))} %)`)
  console.log(`  ${name}: ${told.join(', ')}`)
}

const tally = new Map<string, Map<number, number>>()
for (const { kind, status } of seen) {
  const of = tally.get(kind) ?? new Map<number, number>()
  tally.set(kind, of.set(status, (of.get(status) ?? 0) + 1))
}
for (const [kind, statuses] of tally)
  console.log(`  ${kind.padEnd(24)} ${[...statuses].map(([status, n]) => `${n} × ${status}`).join(', ')}`)
for (const line of damaged.slice(0, 20)) console.log(`  stored and not readable: ${line}`)
figure(`of ${seen.length} files stored damaged`, { value: damaged.length, most: 0 })
figure('taken, and not measured', { value: unmeasured, most: 0 })
figure('answers that are neither taken nor refused in words', {
  value: seen.filter(s => ![200, 413, 415, 422].includes(s.status)).length,
  most: 0
})
console.log(`others took ${takenSoFar()}; the longest, and their share meanwhile:`)
tellLongest('answers', seen)
tellLongest('waits', waits)
if (broken.length > 0) tellLongest('broken connections', broken)
const own = waits.filter(isOwn)
console.log(
  `  while they took less than a twentieth (${Math.round((100 * own.length) / waits.length)} % of the waits):`
    + ` ${Math.round(longestOf(seen.filter(isOwn)))} ms the longest answer,`
    + ` ${Math.round(longestOf(own))} ms the longest wait`
)
figure('connections broken', { value: broken.length, most: 0 })
figure('longest answer', { value: longestOf(seen) / 1000, most: 10, unit: ' s' })
figure('longest wait of a small question meanwhile', { value: longestOf(waits), most: 300, unit: ' ms' })
figure('most memory of the server and its workers', { value: held / 1e9, most: 1, unit: ' GB' })
conclude()
