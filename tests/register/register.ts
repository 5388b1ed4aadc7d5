/**
 * `npm run register [-- PAIRS [pairs|strangers|all [SEED]]]`: registering on pairs whose truth is known (two hundred by
 * default), and on as many pairs of pictures that do not belong together; by kind of picture, with the time it takes.
 */
import { seededRandom } from '../../core/numeric/random'
import { lumaPlane } from '../../core/picture/luma'
import type { Raster } from '../../core/picture/raster'
import { register, type Registration } from '../../core/register/register'
import { demoPictures, drawn, openBases, type Base } from './bases'
import { pairOf } from './pairs'

const COUNT = Number(process.argv[2] ?? 200)
/** Other pairs than those that bounds were set by: `-- 200 all 7`. */
const SEED = 10_000 * Number(process.argv[4] ?? 0)
/** Of the diagonal of the new picture: what counts as right. */
const RIGHT = 0.01

/** The worst corner, of the new picture's diagonal. */
function offBy({ corners }: Registration, next: Raster, truth: readonly { x: number; y: number }[]): number {
  if (!corners) return 1
  const diagonal = Math.hypot(next.width, next.height)
  return Math.max(
    ...corners.map((c, i) => Math.hypot((c.x - truth[i]!.x) * next.width, (c.y - truth[i]!.y) * next.height) / diagonal)
  )
}

const bases: Base[] = [...(await demoPictures()), ...drawn(8), ...(await openBases(36))]
const times: number[] = []
const tally = new Map<string, { right: number; sure: number; wrongSure: number; another: number; of: number }>()
const part = process.argv[3]
for (let n = 0; n < COUNT && part !== 'strangers'; n++) {
  const random = seededRandom(SEED + 100 + n),
    base = bases[n % bases.length]!,
    other = bases[(n * 7 + 3) % bases.length]!,
    { next, corners } = await pairOf(base.raster, other.raster, { random })
  const [old, now] = [lumaPlane(base.raster), lumaPlane(next)],
    start = performance.now(),
    found = register(old, now)
  times.push(performance.now() - start)
  const off = offBy(found, next, corners),
    kind = tally.get(base.kind) ?? { right: 0, sure: 0, wrongSure: 0, another: 0, of: 0 }
  kind.of++
  if (off < RIGHT) kind.right++
  if (found.match === 'sure') kind.sure++
  if (found.match === 'sure' && off >= RIGHT) kind.wrongSure++
  if (found.match === 'another') kind.another++
  tally.set(base.kind, kind)
  if (process.env.EACH || (process.env.WRONG && (off >= RIGHT || found.match !== 'sure')))
    console.log(`${n} ${base.kind} ${base.name} ${found.match} off ${(100 * off).toFixed(2)} % ${said(found)}`)
}
function said({ evidence }: Registration): string {
  return Object.entries(evidence!)
    .map(([name, v]) => `${name} ${(v as number).toFixed(name === 'loose' ? 4 : 2)}`)
    .join(' ')
}

let another = 0,
  wrongly = 0
for (let n = 0; n < COUNT && part !== 'pairs'; n++) {
  const random = seededRandom(SEED + 5000 + n),
    base = bases[n % bases.length]!,
    stranger = bases[(n + 1 + Math.floor((n * 5) / bases.length)) % bases.length]!
  // The same harbour in other colours is the same picture: it is to be found.
  if (stranger === base || ['moorings', 'lightship'].some(of => [stranger, base].every(b => b.name.startsWith(of)))) {
    another++
    continue
  }
  const { next } = await pairOf(stranger.raster, base.raster, { random, change: { geometry: 1, light: 1, repaint: 0 } })
  const found = register(lumaPlane(base.raster), lumaPlane(next))
  if (found.match === 'another') another++
  if (found.match === 'sure') wrongly++
  if (process.env.WRONG && found.match !== 'another')
    console.log(`stranger ${n} ${base.name} / ${stranger.name} ${found.match} ${said(found)}`)
}
for (const [kind, { right, of, sure, wrongSure, another: lost }] of tally)
  console.log(
    `${kind.padEnd(5)} right ${right} of ${of}, sure ${sure}, wrong and sure ${wrongSure}, taken for another ${lost}`
  )
const all = [...tally.values()]
const sum = (of: (t: (typeof all)[number]) => number): number => all.reduce((total, t) => total + of(t), 0)
console.log(`right within 1 %       ${sum(t => t.right)} of ${COUNT}`)
console.log(`sure                   ${sum(t => t.sure)}, wrong and sure ${sum(t => t.wrongSure)}`)
console.log(`strangers recognised   ${another} of ${COUNT}, taken for sure ${wrongly}`)
console.log(
  `one pair               ${Math.round([...times].sort((p, q) => p - q)[times.length >> 1]!)} ms in the middle`
)
