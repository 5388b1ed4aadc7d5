/** The report's shape (measures §10): types only, so every layer can speak of it. */
import type { Kind } from '../colour/kinds'
import type { SchemeName } from '../wheel/schemes'
import type { StepName, WheelName } from '../wheel/steps'

/** Version of the definitions; raised when a number could change for the same picture. */
export const REPORT_VERSION = 1

export interface NotMeasurable { readonly kind: 'not-measurable', readonly reason: string }
export type Measured<T> = T | NotMeasurable

export const notMeasurable = (reason: string): NotMeasurable => ({ kind: 'not-measurable', reason })

export function isMeasured<T>(section: Measured<T>): section is T {
  return !(typeof section === 'object' && section !== null && (section as { kind?: unknown }).kind === 'not-measurable')
}

export interface PictureSection {
  readonly format: string
  readonly sourceWidth: number
  readonly sourceHeight: number
  readonly width: number
  readonly height: number
  /** Share of pixels left out. */
  readonly transparent: number
}

export type Key = 'low' | 'middle' | 'high'
export type RangeVerdict = 'full' | 'moderate' | 'narrow'

export interface ValueSection {
  readonly darkest: number
  readonly lightest: number
  readonly range: number
  readonly median: number
  readonly key: Key
  readonly thirds: { readonly dark: number, readonly middle: number, readonly light: number }
  readonly groups: Measured<readonly { readonly value: number, readonly share: number }[]>
  readonly nearBlack: number
  readonly nearWhite: number
  readonly verdict: RangeVerdict
}

export interface Family {
  readonly step: StepName
  readonly position: number
  readonly weight: number
  readonly area: number
  readonly chroma: number
  readonly darkest: number
  readonly lightest: number
}

export interface SchemeFit {
  readonly rotation: number
  readonly coverage: number
  readonly sectors: readonly number[]
}

export interface SchemeSection {
  readonly name: SchemeName
  readonly rotation: Measured<number>
  readonly coverage: Measured<number>
  readonly sectors: Measured<readonly number[]>
}

export interface RankedScheme extends SchemeFit { readonly name: SchemeName, readonly score: number }

export interface Swatch {
  readonly hex: string
  readonly share: number
  readonly step: StepName | null
  readonly kind: Kind
  readonly value: number
  readonly temperature: number
}

export interface HarmonySection {
  readonly families: Measured<readonly Family[]>
  readonly colours: number
  readonly neutrals: number
  readonly scheme: SchemeSection
  readonly ranking: Measured<readonly RankedScheme[]>
  readonly offScheme: Measured<number>
  readonly proportion: Measured<{ readonly shares: readonly number[], readonly evenness: number }>
  readonly saturation: { readonly median: number, readonly p95: number, readonly vivid: number, readonly muted: number }
  readonly palette: readonly Swatch[]
}

export interface Separation {
  readonly name: string
  readonly value: number
  readonly ring: number
  readonly deltaValue: number
  readonly deltaE: number
  readonly deltaTemperature: number
  readonly merges: boolean
}

export interface Report {
  readonly version: number
  readonly picture: PictureSection
  readonly wheel: WheelName
  readonly value: Measured<ValueSection>
  readonly harmony: Measured<HarmonySection>
  readonly separation?: readonly Measured<Separation>[]
}
