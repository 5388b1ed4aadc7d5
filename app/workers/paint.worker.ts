/** The paint worker: mixtures, recipes, and what the work asks of a box of paints. */
import { expose } from 'comlink'
import { linearOfHex } from '~~/core/colour/srgb'
import { massesOf } from '~~/core/masses/masses'
import { palettesOn } from '~~/core/paint/asked/palettes'
import { darksAt } from '~~/core/paint/asked/dark'
import { mudOf } from '~~/core/paint/asked/mud'
import { mutedOf } from '~~/core/paint/asked/muted'
import { wheelOfPaints } from '~~/core/paint/asked/reach'
import { lackingFor } from '~~/core/paint/lacking'
import { learnedFrom } from '~~/core/paint/learned'
import { mixtureOf, stepsBetween } from '~~/core/paint/mixture'
import { boxOf, isWhite } from '~~/core/paint/own'
import { toldRecipes } from '~~/core/paint/told'
import { describeColour } from '~~/core/wheel/describe'
import type { PaintWorker } from './paint-protocol'

/** 8 : 0, 7 : 1 … 0 : 8. */
const STEPS = 9

const worker: PaintWorker = {
  async mixture(parts, wheel) {
    const hex = mixtureOf(parts)
    if (!hex) return null
    const some = parts.filter(p => p.amount > 0)
    return {
      described: describeColour(hex, wheel),
      steps: some.length > 1 ? stepsBetween(some, STEPS) : []
    }
  },
  async recipes(hex, paints) {
    const wanted = linearOfHex(hex),
      recipes = toldRecipes(wanted, boxOf(paints))
    return { recipes, lacking: lackingFor(wanted, paints, recipes[0]?.deltaE ?? Infinity) }
  },
  async muted(place, paints) {
    const chosen = paints[place],
      own = boxOf(paints)
    return chosen && !isWhite(chosen) ? mutedOf(own.own.indexOf(chosen), own) : null
  },
  darks: async (value, paints) => darksAt(value, paints),
  async mud(paints, wheel) {
    const own = boxOf(paints)
    return mudOf(own, wheel).map(found => ({
      ...found,
      names: [own.own[found.pair[0]]!.name, own.own[found.pair[1]]!.name] as const
    }))
  },
  wheel: async (paints, wheel) => wheelOfPaints(boxOf(paints), wheel),
  masses: async (raster, count) => massesOf(raster, count),
  palettes: async (masses, paints, wheel) => palettesOn(masses, boxOf(paints), wheel),
  learned: async (paints, read) => learnedFrom(paints, read)
}

expose(worker)
