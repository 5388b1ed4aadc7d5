/**
 * `npm run judge`: how far what is said agrees with what is there. Scenes of known truth, open pictures with labels
 * written before, and displays with one odd thing, of the half kept back. `npm run judge -- scenes`, `-- open`, `--
 * odd`: only those; `-- tune`: the half to tune by; `-- tune loud`: each of its misses by name.
 */
import { judgeOdd } from './judge-odd'
import { judgeOpen } from './judge-open'
import { judgeScenes } from './judge-scenes'

const PARTS = ['scenes', 'open', 'odd']

const asked = process.argv.slice(2),
  half = asked.includes('tune') ? 'tune' : 'kept',
  loud = half === 'tune' && asked.includes('loud')
const wanted = (part: string): boolean => !asked.some(a => PARTS.includes(a)) || asked.includes(part)

if (wanted('scenes')) await judgeScenes(half, loud)
if (wanted('open')) await judgeOpen(half, loud)
if (wanted('odd')) judgeOdd()
