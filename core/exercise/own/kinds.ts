/**
 * What an instructor builds an exercise of: kinds of checks, each with one bound to set, and a picture that passes and
 * one that fails by that bound, drawn as it is set.
 */
import { chromaOf } from '../../colour/oklab'
import { hexOfLinear } from '../../colour/srgb'
import { schemePositions, type SectorScheme } from '../../wheel/schemes'
import type { WheelName } from '../../wheel/steps'
import { anchorAt } from '../../wheel/wheel'
import { accent, coverage, each, leads, muted } from '../checks/colour'
import { apart, dark, large, masses, noBlack, range, valueSteps } from '../checks/value'
import type { Check } from '../exercise'
import { greyOf, strongAt } from '../worksheet/mixtures'
import { SCHEME_WORDS } from '../../wheel/schemes'

/** A field of a picture: its colour and its share of the width. */
export interface Field {
  readonly hex: string
  readonly share: number
}

/** What the pictures are drawn in. */
export interface Drawn {
  readonly wheel: WheelName
  readonly scheme: SectorScheme
  readonly hue: number
}

/**
 * @property low, high, usual of the bound; in percent where `unit` is. @property inScheme whether it is about the
 * exercise's scheme. @property make the check. @property show a picture that lies a step inside the bound, or outside.
 */
export interface CheckKind {
  readonly label: string
  readonly unit: '%' | 'steps' | 'values'
  readonly low: number
  readonly high: number
  readonly usual: number
  readonly inScheme: boolean
  readonly make: (bound: number, scheme: SectorScheme) => Check
  readonly show: (bound: number, passes: boolean, drawn: Drawn) => readonly Field[]
}

const grey = (value: number, share: number): Field => ({ hex: greyOf(Math.min(100, Math.max(0, value))), share })
const strong = ({ wheel }: Drawn, position: number, share: number): Field => ({
  hex: hexOfLinear(strongAt(wheel, position)),
  share
})
/** Widths at which colours hold given shares of the coloured weight, which is chroma times area. */
function weighed(drawn: Drawn, shares: readonly { readonly at: number; readonly share: number }[]): Field[] {
  const widths = shares.map(({ at, share }) => share / chromaOf(anchorAt(drawn.wheel, at))),
    total = widths.reduce((p, q) => p + q, 0)
  return shares.map(({ at }, i) => strong(drawn, at, widths[i] / total))
}
const positionsOf = ({ scheme, hue }: Drawn): number[] => schemePositions(scheme, hue)
/** A colour that no scheme of few colours holds beside its own: what leaves it. */
function outside(drawn: Drawn): number {
  const all = positionsOf(drawn)
  const away = (p: number): number => Math.min(...all.map(q => Math.abs(((p - q + 540) % 360) - 180)))
  return Array.from({ length: 36 }, (_, i) => 10 * i).reduce((p, q) => (away(q) > away(p) ? q : p))
}
/** How far inside or outside a bound a picture is drawn: in its unit. */
const beside = (bound: number, passes: boolean, by: number): number => (passes ? bound + by : bound - by)

/** So many values, even steps about the middle; a picture is drawn a little inside or outside. */
const inMasses = (n: 2 | 3, bounds: Pick<CheckKind, 'low' | 'high' | 'usual'>): CheckKind => ({
  label: `it keeps to ${n === 2 ? 'two' : 'three'} values, apart by`,
  unit: 'steps',
  ...bounds,
  inScheme: false,
  make: bound => apart(n, bound),
  show: (bound, passes) => {
    const step = beside(bound, passes, 4)
    return Array.from({ length: n }, (_, i) => grey(50 + step * (i - (n - 1) / 2), 1 / n))
  }
})

export const CHECK_KINDS = {
  range: {
    label: 'the values span at least',
    unit: 'steps',
    low: 20,
    high: 85,
    usual: 50,
    inScheme: false,
    make: bound => range(bound),
    show: (bound, passes) => {
      const span = beside(bound, passes, 6)
      return [grey(50 - span / 2, 0.4), grey(50, 0.2), grey(50 + span / 2, 0.4)]
    }
  },
  'two-masses': inMasses(2, { low: 15, high: 70, usual: 30 }),
  'three-masses': inMasses(3, { low: 10, high: 40, usual: 18 }),
  'smallest-mass': {
    label: 'of its two values the smaller holds at least',
    unit: '%',
    low: 5,
    high: 45,
    usual: 20,
    inScheme: false,
    make: bound => large(2, bound / 100),
    show: (bound, passes) => {
      const share = beside(bound, passes, 4) / 100
      return [grey(20, 1 - share), grey(80, share)]
    }
  },
  'value-steps': {
    label: 'steps of value that are there, at least',
    unit: 'values',
    low: 3,
    high: 9,
    usual: 5,
    inScheme: false,
    make: bound => valueSteps(bound),
    show: (bound, passes) => {
      const n = passes ? bound : bound - 1
      return Array.from({ length: n }, (_, i) => grey(5 + 10 * i, 1 / n))
    }
  },
  'no-black': {
    label: 'black without a colour, at most',
    unit: '%',
    low: 1,
    high: 40,
    usual: 2,
    inScheme: false,
    make: bound => noBlack(bound / 100),
    show: (bound, passes) => {
      const share = Math.max(0, beside(bound, !passes, bound > 6 ? 4 : bound / 2)) / 100
      return [grey(3, share), grey(55, 0.6 - share / 2), grey(85, 0.4 - share / 2)]
    }
  },
  dark: {
    label: 'its darkest lies under',
    unit: 'steps',
    low: 10,
    high: 45,
    usual: 25,
    inScheme: false,
    make: bound => dark(bound),
    show: (bound, passes) => [grey(beside(bound, !passes, 5), 0.4), grey(80, 0.6)]
  },
  muted: {
    label: 'how much of it is vivid, at most',
    unit: '%',
    low: 1,
    high: 60,
    usual: 5,
    inScheme: false,
    make: bound => muted(bound / 100),
    show: (bound, passes, drawn) => {
      const share = Math.max(0, beside(bound, !passes, bound > 6 ? 4 : bound / 2)) / 100
      return [{ hex: '#e32322', share }, strong({ ...drawn, wheel: 'painter' }, 240, 0), grey(60, 1 - share)].filter(
        f => f.share > 0
      )
    }
  },
  coverage: {
    label: 'it keeps to the scheme',
    unit: '%',
    low: 80,
    high: 80,
    usual: 80,
    inScheme: true,
    make: (_, scheme) => coverage(scheme, SCHEME_WORDS[scheme]),
    show: (bound, passes, drawn) => {
      const inside = positionsOf(drawn),
        within = beside(bound, passes, 8) / 100
      return weighed(drawn, [
        ...inside.map((at, i) => ({ at, share: (within * (i === 0 ? 2 : 1)) / (inside.length + 1) })),
        { at: outside(drawn), share: 1 - within }
      ])
    }
  },
  accent: {
    label: 'the smallest of its colours is an accent',
    unit: '%',
    low: 30,
    high: 30,
    usual: 30,
    inScheme: true,
    make: (_, scheme) => accent(scheme, 'The accent'),
    show: (_, passes, drawn) => {
      const [key, ...others] = positionsOf(drawn),
        share = passes ? 0.14 : 0.4
      const small = others.at(-1)
      return small === undefined
        ? [strong(drawn, key, 1)]
        : weighed(drawn, [
            ...positionsOf(drawn)
              .slice(0, -1)
              .map((at, _, all) => ({ at, share: (1 - share) / all.length })),
            { at: small, share }
          ])
    }
  },
  each: {
    label: 'each of its colours is there',
    unit: '%',
    low: 4,
    high: 4,
    usual: 4,
    inScheme: true,
    make: (_, scheme) => each(scheme, 'colours'),
    show: (_, passes, drawn) => {
      const all = positionsOf(drawn)
      const shown = passes ? all : all.slice(0, Math.max(1, all.length - 1))
      return weighed(
        drawn,
        shown.map(at => ({ at, share: 1 / shown.length }))
      )
    }
  },
  leads: {
    label: 'one of its colours leads with at least',
    unit: '%',
    low: 60,
    high: 90,
    usual: 60,
    inScheme: true,
    make: (bound, scheme) => leads(scheme, bound / 100),
    show: (bound, passes, drawn) => {
      const [key, ...others] = positionsOf(drawn),
        share = Math.min(0.97, beside(bound, passes, 6) / 100)
      return weighed(drawn, [{ at: key, share }, ...others.map(at => ({ at, share: (1 - share) / others.length }))])
    }
  },
  'keeps-two': {
    label: 'nothing lies between its two values: kept by',
    unit: '%',
    low: 85,
    high: 85,
    usual: 85,
    inScheme: false,
    make: () => masses(2, 'two'),
    show: (_, passes) =>
      passes ? [grey(20, 0.5), grey(80, 0.5)] : [grey(10, 0.25), grey(32, 0.25), grey(70, 0.25), grey(92, 0.25)]
  }
} as const satisfies Readonly<Record<string, CheckKind>>
export type CheckKindKey = keyof typeof CHECK_KINDS
export const CHECK_KIND_KEYS = Object.keys(CHECK_KINDS) as [CheckKindKey, ...CheckKindKey[]]
export const checkKind = (key: CheckKindKey): CheckKind => CHECK_KINDS[key]
