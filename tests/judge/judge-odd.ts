/** Displays in which one item is odd: whether it is looked at first, and for the right cause. */
import { nothingKnown } from '../../core/critique/piece/known'
import { seededRandom } from '../../core/numeric/random'
import { GROUNDS, ODD_KINDS, popOut } from '../../core/testing/popout'
import { firstLook, judge, row, Share, title } from './judged'

const A_GROUND = 12

export function judgeOdd(): void {
  title('Displays where one is odd, 6 to 30 items', ['odd in', 'hues', 'first look on it', 'cause named'])
  for (const kind of ODD_KINDS) {
    for (const hues of ['one', 'many'] as const) {
      if (kind === 'hue' && hues === 'many') continue
      const hit = new Share(),
        named = new Share()
      for (const ground of GROUNDS) {
        const random = seededRandom(1 + kind.length * 1000 + ground.length * 7)
        for (let i = 0; i < A_GROUND; i++) {
          const { raster, x, y, radius } = popOut(kind, random, { ground, hues, items: 6 + Math.floor(25 * random()) }),
            first = firstLook(judge(raster, nothingKnown('painter')).report)
          if (
            !hit.count(
              first !== null && Math.hypot(first.x - x, ((first.y - y) * raster.height) / raster.width) <= radius
            )
          )
            continue
          const [cause] = Object.entries(first!.causes).sort((p, q) => q[1] - p[1])[0]!
          named.count(cause === (kind === 'size' ? 'detail' : kind))
        }
      }
      row(kind, hues, hit, named)
    }
  }
}
