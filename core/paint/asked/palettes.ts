/** Five limited palettes out of somebody's box, tried on the same masses. */
import { atValue } from '../../colour/hold'
import { chromaOf, convertLinearToOklab } from '../../colour/oklab'
import { hexOfLinear, linearOfHex, type Rgb } from '../../colour/srgb'
import { angleDistance } from '../../numeric/angle'
import { valueOfLinear } from '../../colour/lab'
import type { WheelName } from '../../wheel/steps'
import { positionOn } from '../../wheel/wheel'
import { isBlack, type OwnBox } from '../own'
import { toldRecipes, type ToldRecipe } from '../told'

export interface TriedPalette {
  readonly title: string
  readonly paints: readonly string[]
  /** Of each mass, its nearest mixture. */
  readonly masses: readonly ToldRecipe[]
}

interface Known {
  readonly place: number
  readonly position: number
  readonly chroma: number
  readonly value: number
}

/** Positions of the painter's wheel that three primaries lie nearest to, warm and cool ones. */
const WARM = [20, 100, 215],
  COOL = [350, 145, 250]
/** OKLCH chroma up to which a colour is an earth. */
const EARTH = 0.11

function known({ own }: OwnBox, wheel: WheelName): Known[] {
  return own.flatMap((paint, place) => {
    const linear = linearOfHex(paint.masstone),
      position = positionOn(wheel, linear)
    return position === null || isBlack(paint)
      ? []
      : [{ place, position, chroma: chromaOf(convertLinearToOklab(linear)), value: valueOfLinear(linear) }]
  })
}

const nearest = (all: readonly Known[], position: number, but: readonly number[] = []): Known | undefined =>
  all
    .filter(k => !but.includes(k.place))
    .sort((p, q) => angleDistance(p.position, position) - angleDistance(q.position, position))[0]

const primaries = (all: readonly Known[], at: readonly number[]): number[] =>
  at.reduce<number[]>((chosen, position) => {
    const found = nearest(all, position, chosen)
    return found ? [...chosen, found.place] : chosen
  }, [])

/** Titles with the places of their paints; fewer than five where the box is small. */
function sets(all: readonly Known[]): { title: string; places: number[] }[] {
  const strong = all.filter(k => k.chroma >= EARTH),
    earths = all.filter(k => k.chroma < EARTH),
    byChroma = [...strong].sort((p, q) => q.chroma - p.chroma),
    darkest = [...all].sort((p, q) => p.value - q.value)[0],
    blue = nearest(all, 225)
  const pairs = strong.flatMap((p, i) =>
    strong.slice(i + 1).map(q => ({ p, q, apart: angleDistance(p.position, q.position) }))
  )
  const opposite = pairs.sort((a, b) => b.apart - a.apart)[0],
    key = byChroma[0]
  const offered = [
    { title: 'warm primaries', places: primaries(strong, WARM) },
    { title: 'cool primaries', places: primaries(strong, COOL) },
    { title: 'earths and a blue', places: [...earths.slice(0, 2).map(k => k.place), ...(blue ? [blue.place] : [])] },
    { title: 'two opposites', places: opposite ? [opposite.p.place, opposite.q.place] : [] },
    { title: 'one colour and a dark', places: key && darkest ? [key.place, darkest.place] : [] }
  ]
  const seen = new Set<string>()
  return offered
    .map(({ title, places }) => ({ title, places: [...new Set(places)] }))
    .filter(({ places }) => {
      const name = [...places].sort((p, q) => p - q).join()
      if (places.length < 2 || seen.has(name)) return false
      seen.add(name)
      return true
    })
}

/** Of a mass's mixture, how far its value may lie off before it is asked for without its hue: value comes first. */
const VALUE_OFF = 6

/** @param masses linear light of each. */
export function palettesOn(masses: readonly Rgb[], own: OwnBox, wheel: WheelName): TriedPalette[] {
  return sets(known(own, wheel)).map(({ title, places }) => {
    const some: OwnBox = {
      box: { paints: places.map(p => own.box.paints[p]), white: own.box.white },
      own: places.map(p => own.own[p]),
      white: own.white
    }
    return {
      title,
      paints: some.own.map(p => p.name),
      masses: masses.map(wanted => {
        const [best] = toldRecipes(wanted, some, { count: 1 }),
          off = Math.abs(valueOfLinear(linearOfHex(best.hex)) - valueOfLinear(wanted))
        if (off <= VALUE_OFF) return best
        const [L, a, b] = convertLinearToOklab(wanted),
          grey = atValue([L, a / 3, b / 3], valueOfLinear(wanted)),
          [held] = toldRecipes(linearOfHex(hexOfLinear(grey)), some, { count: 1 })
        return Math.abs(valueOfLinear(linearOfHex(held.hex)) - valueOfLinear(wanted)) < off ? held : best
      })
    }
  })
}
