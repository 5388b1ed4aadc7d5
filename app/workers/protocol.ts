/** What the page and the picture worker say to each other: types only. */
import type { DeclaredFit } from '~~/core/critique/readings'
import type { ColourDescription } from '~~/core/wheel/describe'
import type { LensRequest } from '~~/core/lens/lens'
import type { EdgesSection, FocusSection, Measured, Separation } from '~~/core/measure/report'
import type { Area } from '~~/core/picture/area'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'

export interface ProbeReading extends ColourDescription {
  /** Temperature against the ring around the pointer. */
  readonly relativeTemperature: number | null
}

export interface FocusedSections { readonly focus: Measured<FocusSection>, readonly edges: Measured<EdgesSection> }

export interface PictureWorker {
  /** Takes the picture: decoded, planes made. */
  load(file: Blob): Promise<{ width: number, height: number }>
  lens(request: LensRequest, edge?: number): Promise<ImageBitmap>
  /** Counts in 64 bins of value, for the value rule. */
  histogram(): Promise<number[]>
  /** Coloured weight in 1° bins of a wheel, as shares of the whole. */
  hues(wheel: WheelName): Promise<number[]>
  separation(name: string, area: Area): Promise<Measured<Separation>>
  /** What an intended focus changes in the report. */
  focused(area: Area): Promise<FocusedSections>
  /** The planned scheme's coverage at its best rotation; null without colour. */
  declared(scheme: SectorScheme, wheel: WheelName): Promise<DeclaredFit | null>
  /** The colour under a point in fractions; null where the picture is transparent. */
  probe(x: number, y: number, wheel: WheelName): Promise<ProbeReading | null>
}
