/**
 * `npm run hostile`: ten thousand generated files are handed in to a server of its own on the loopback address, two
 * at a time. None may be stored that cannot be opened again, none keeps anybody waiting, and memory stays bounded.
 * `npm run hostile -- 200 7`: how many, and the seed.
 */
import { setTimeout as wait } from 'node:timers/promises'
import { watchMost } from '../load/memory'
import { conclude, figure, quantile } from '../load/figures'
import type { Person } from '../api/client'
import { House } from '../house'
import { waitsDuring } from '../probe'
import { hostileFiles } from './files'

const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number)
const AT_ONCE = 2,
  /** Nobody may hand in more than 200 a day. */
  A_LEARNER = 100

interface Seen {
  readonly kind: string
  readonly status: number
  readonly ms: number
}

const house = await House.open({ learners: Math.ceil(count / A_LEARNER) })
const memory = watchMost(house.server.pid!)
const seen: Seen[] = [],
  damaged: string[] = []
const files = hostileFiles(count, seed)

const start = performance.now()
let begun = 0
async function handInAll(): Promise<void> {
  let who = -1,
    person!: Person
  for (let next = await files.next(); !next.done; next = await files.next()) {
    const { kind, bytes } = next.value,
      turn = Math.floor(begun++ / A_LEARNER)
    if (begun % 1000 === 0) console.log(`${begun} files, ${Math.round((performance.now() - start) / 1000)} s`)
    if (turn !== who) person = await house.signedIn(`learner-${(who = turn)}`)
    let from = performance.now(),
      answer = await person.handIn(bytes)
    // A thousand wait to be measured: it is asked to come later, and does.
    while (answer.status === 503) {
      await wait(3000)
      from = performance.now()
      answer = await person.handIn(bytes)
    }
    const told = (await answer.json()) as { id?: number }
    seen.push({ kind, status: answer.status, ms: performance.now() - from })
    if (told.id !== undefined && (await person.fetch(`/submissions/${told.id}/picture/full`)).status !== 200)
      damaged.push(`${kind}: the full size of piece ${told.id}`)
  }
}
const waits = await waitsDuring(house.origin, () => Promise.all(Array.from({ length: AT_ONCE }, handInAll)))

await house.allMeasured(600_000)
const unmeasured = (await house.states()).filter(state => state !== 'done').length
const held = memory.stop()
await house.close()

const tally = new Map<string, Map<number, number>>()
for (const { kind, status } of seen) {
  const of = tally.get(kind) ?? new Map<number, number>()
  tally.set(kind, of.set(status, (of.get(status) ?? 0) + 1))
}
for (const [kind, statuses] of tally)
  console.log(`  ${kind.padEnd(24)} ${[...statuses].map(([status, n]) => `${n} × ${status}`).join(', ')}`)
const answers = seen.map(s => s.ms)
for (const line of damaged.slice(0, 20)) console.log(`  stored and not readable: ${line}`)
figure(`of ${seen.length} files stored damaged`, { value: damaged.length, most: 0 })
figure('taken, and not measured', { value: unmeasured, most: 0 })
figure('answers that are neither taken nor refused in words', {
  value: seen.filter(s => ![200, 413, 415, 422].includes(s.status)).length,
  most: 0
})
figure('longest answer', { value: quantile(answers, 1) / 1000, most: 10, unit: ' s' })
figure('longest wait of a small question meanwhile', { value: quantile(waits, 1), most: 300, unit: ' ms' })
figure('most memory of the server and its workers', { value: held / 1e9, most: 1, unit: ' GB' })
conclude()
