/**
 * `npm run load`: a school of 400 learners and 20 instructors at work on a server of its own on the loopback address,
 * with 20 pictures of 12 megapixels handed in a minute, for ten minutes. Then as long
 * again with a process beside that only measures: nothing may get slower by it. `npm run load -- 2 6`: two
 * minutes each, a learner asks for something every six seconds.
 */
import { freePort, secretsOf } from '../../bin/lib/database'
import { endChild } from '../../bin/lib/processes'
import { startServer } from '../../bin/lib/serve'
import { House } from '../house'
import { waitsDuring } from '../probe'
import { conclude, figure, quantile } from './figures'
import { watchMemory } from './memory'
import { School, type Heard } from './school'

const MINUTES = Number(process.argv[2] ?? 10),
  SIZE = { learners: 400, instructors: 20 }

const house = await House.open(SIZE)
console.log(`signing in ${SIZE.learners} learners and ${SIZE.instructors} instructors`)
const school = await School.open(house, SIZE)

async function at(what: string): Promise<Heard & { readonly held: readonly number[] }> {
  console.log(what)
  const memory = watchMemory(house.server.pid!, 1000)
  let heard!: Heard
  const waits = await waitsDuring(house.origin, async () => {
      heard = await school.work(MINUTES)
    }),
    small = waits.map(w => w.ms),
    held = memory.stop()
  for (const error of [...new Set(heard.errors)].slice(0, 10)) console.log(`  ${error}`)
  const { reads, edits, handIns } = heard
  const ms = (times: readonly number[], share: number): string => `${Math.round(quantile(times, share))} ms`
  console.log(
    `${reads.length} reads, median ${ms(reads, 0.5)}; ${edits.length} edits, median ${ms(edits, 0.5)};`
      + ` ${handIns.length} hand-ins, p95 ${ms(handIns, 0.95)};`
      + ` small questions: median ${ms(small, 0.5)}, longest ${ms(small, 1)}`
  )
  figure('errors', { value: heard.errors.length, most: 0 })
  figure('reads, p95', { value: quantile(reads, 0.95), most: 500, unit: ' ms' })
  figure('edits, p95', { value: quantile(edits, 0.95), most: 500, unit: ' ms' })
  figure('measured after the hand-in, p95', { value: quantile(heard.measured, 0.95) / 1000, most: 15, unit: ' s' })
  return { ...heard, held }
}

const alone = await at('one server')
const third = Math.ceil(alone.held.length / 3),
  [early, late] = [alone.held.slice(third, 2 * third), alone.held.slice(2 * third)].map(part => quantile(part, 0.5))
figure('memory in the last third over the third before it', { value: late! / early!, most: 1.15 })

const measuring = await startServer({
  port: await freePort(),
  databaseUrl: house.database.url,
  secret: secretsOf(house.folder).session,
  demo: false,
  measureOnly: true
})
const beside = await at('with a process beside that only measures')
for (const what of ['reads', 'edits', 'measured'] as const)
  figure(`${what}, p95, over that of one server`, {
    value: quantile(beside[what], 0.95) / quantile(alone[what], 0.95),
    most: 1.1
  })
await endChild(measuring, 5000)
await house.close()
conclude()
