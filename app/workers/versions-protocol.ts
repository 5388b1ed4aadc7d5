/** What the page and the versions worker say to each other: types only. */
import type { DifferenceKind } from '~~/core/compare/difference'
import type { Camera } from '~~/core/compare/light'
import type { LensRequest } from '~~/core/lens/lens'
import type { Point } from '~~/core/numeric/homography'
import type { Registration } from '~~/core/register/register'

export type Side = 'old' | 'new'

/** What a wall shows: a lens over both versions, or what changed between them. */
export type VersionsLens = LensRequest | { readonly name: 'difference'; readonly kind: DifferenceKind }

export interface VersionsWorker {
  load(file: Blob, side: Side): Promise<{ width: number; height: number }>
  /** Finds the new picture on the old one. */
  register(): Promise<Registration>
  /**
   * Lays the new one on the old one. @param corners of the old picture in the new one, fractions. @param light
   * another camera's, that is taken out. @returns whether it can lie so.
   */
  lay(corners: readonly Point[], light: Camera | null): Promise<boolean>
  /** One of both in the old one's frame; a difference is drawn on either side. */
  shown(side: Side, lens: VersionsLens): Promise<ImageBitmap>
  /** The new picture as it is, not laid on anything: what corners are set on. */
  plain(): Promise<ImageBitmap>
}
