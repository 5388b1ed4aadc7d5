/** The report's shape: types only, so every layer can speak of it. */
import type { PhotoDoubtKind } from '../photo/steps'
import type { Kind } from '../colour/kinds'
import type { Area } from '../picture/area'
import type { SchemeName } from '../wheel/schemes'
import type { StepName, WheelName } from '../wheel/steps'

/** Version of the definitions; raised when a number could change for the same picture. */
export const REPORT_VERSION = 9

export interface NotMeasurable {
  readonly kind: 'not-measurable'
  readonly reason: string
}
export type Measured<T> = T | NotMeasurable

export const notMeasurable = (reason: string): NotMeasurable => ({ kind: 'not-measurable', reason })

export function isMeasured<S>(section: S): section is Exclude<S, NotMeasurable> {
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
  /** Bits of the file for each of its pixels, of a format that leaves things out. */
  readonly bitsPerPixel?: number
  /** The file says that a camera took it. */
  readonly photograph?: true
  /** What a photograph of the work cannot be trusted in. */
  readonly shaken?: readonly PhotoDoubtKind[]
  /**
   * The picture within a margin of paper, mat or frame, as a rectangle; absent where there is none, or it is counted
   * in.
   */
  readonly inside?: Area
}

export type Key = 'low' | 'middle' | 'high'
export type RangeVerdict = 'full' | 'moderate' | 'narrow'

/** @property hole whether it ends at something light; else the darks around lead down into it. */
export interface FlatBlackSpot extends Spot {
  readonly hole: boolean
}

/** Black that is flat: in all, and patch by patch, largest first. */
export interface FlatBlack {
  readonly share: number
  /** Share of the picture in patches that are holes. */
  readonly holes: number
  readonly patches: readonly FlatBlackSpot[]
}

export interface ValueSection {
  readonly darkest: number
  readonly lightest: number
  readonly range: number
  readonly median: number
  readonly key: Key
  readonly thirds: { readonly dark: number; readonly middle: number; readonly light: number }
  readonly groups: Measured<readonly { readonly value: number; readonly share: number }[]>
  readonly nearBlack: number
  readonly flatBlack: FlatBlack
  readonly nearWhite: number
  readonly verdict: RangeVerdict
}

export interface Family {
  readonly step: StepName
  /** What a person calls its colour: "dark olive". */
  readonly named: string
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

export interface RankedScheme extends SchemeFit {
  readonly name: SchemeName
  readonly score: number
}

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
  /** By area, largest first. @property lead the first over the second. */
  readonly proportion: Measured<{
    readonly shares: readonly number[]
    readonly evenness: number
    readonly lead: number
  }>
  readonly saturation: {
    readonly median: number
    readonly p95: number
    /** Share of all pixels with chroma over 0.15. */
    readonly vivid: number
    /** Share of all pixels that are vivid for their hue: over 0.15, or over 0.7 of the most that the hue can have. */
    readonly vividForHue: number
    readonly muted: number
  }
  readonly palette: readonly Swatch[]
}

export interface TemperatureSection {
  readonly mean: number
  /** Shares of warm, cool and neither. */
  readonly warm: number
  readonly cool: number
  readonly neither: number
  /** Mean T of the lightest and the darkest third. */
  readonly lights: number
  readonly darks: number
  readonly lightMinusDark: number
  /** Mean T of the darkest tenth. */
  readonly darkest: number
}

export interface Causes {
  readonly value: number
  readonly chroma: number
  readonly hue: number
  readonly detail: number
  readonly orientation: number
}
/** What a face is called that is one of several: its place is said with it. */
export const A_FACE = 'a face'
export interface Peak {
  readonly x: number
  readonly y: number
  readonly strength: number
  readonly causes: Causes
  /** What a person calls its colour: "pale yellow". */
  readonly named: string
  /** How far the thing reaches that it is the peak of. */
  readonly extent: Extent
  /** A face or a figure: by the name that the critic gave it, or that it was found by. */
  readonly known?: string
  /** How sure it is that it is a face, 0–1, where nobody marked it. */
  readonly found?: number
}
/** A rectangle in fractions. */
export interface Extent {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}
/** A patch of the strongest colour. */
export interface VividSpot extends Spot {
  readonly named: string
}
export interface Spot {
  readonly x: number
  readonly y: number
  readonly share: number
}

/** What a given focal area adds. */
export interface FocusAreaSection {
  readonly share: number
  readonly lift: number
  readonly rank: Measured<number>
  readonly contrast: number
  readonly elsewhere: Measured<number>
  readonly ratio: Measured<number>
  /** Share of the windows of its size that have less contrast. */
  readonly standing: Measured<number>
  readonly saturationRatio: Measured<number>
  readonly competitors: readonly Peak[]
}

export interface FocusSection extends Partial<FocusAreaSection> {
  readonly peaks: Measured<readonly Peak[]>
  readonly whites: readonly Spot[]
  readonly vivid: readonly VividSpot[]
}

export interface EdgeProfile {
  readonly focus: Measured<number>
  readonly near: Measured<number>
  readonly rest: Measured<number>
}
export interface EdgesSection {
  readonly lineDependence: Measured<number>
  /** Share of the contrast carried by thin lights; 0 where thin darks carry none to speak of. */
  readonly thinLights: Measured<number>
  readonly sharpness: EdgeProfile
  readonly detail: EdgeProfile
}

export interface CompositionSection {
  readonly symmetry: Measured<number>
  /** Of what differs along each row. */
  readonly symmetryAcross: Measured<number>
  readonly horizon: Measured<number>
  readonly balance: Measured<{ readonly x: number; readonly y: number }>
}

export interface MaterialLight {
  readonly name: string
  readonly lit: string
  readonly shadow: string
  readonly expected: string
  /** ΔE00 between the shadow and the expected shadow. */
  readonly deviation: number
  readonly stops: number
  readonly leaves: boolean
  readonly deltaValue: number
  /** Degrees of OKLCH hue from lit to shadow, the shorter way, counter-clockwise positive. */
  readonly hueShift: Measured<number>
  readonly chromaKept: Measured<number>
  readonly onlyDarker: boolean
  /** L* by which the shadow family reaches into the light family; 0 when it does not. */
  readonly overlap: number
}
export interface LightSection {
  readonly consensus: readonly [number, number, number]
  readonly materials: readonly Measured<MaterialLight>[]
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
  readonly focus: Measured<FocusSection>
  readonly temperature: Measured<TemperatureSection>
  readonly harmony: Measured<HarmonySection>
  readonly edges: Measured<EdgesSection>
  readonly composition: Measured<CompositionSection>
  readonly light?: Measured<LightSection>
  readonly separation?: readonly Measured<Separation>[]
}
