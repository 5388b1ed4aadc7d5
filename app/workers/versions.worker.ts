/** The versions worker: holds two versions of a picture, finds one on the other, and draws both in one frame. */
import { expose, transfer } from 'comlink'
import { align, withoutLight, type Aligned } from '~~/core/compare/aligned'
import { renderDifference } from '~~/core/compare/difference'
import { renderLens } from '~~/core/lens/lens'
import { lumaPlane } from '~~/core/picture/luma'
import { planesOf, type Planes } from '~~/core/picture/planes'
import { createRaster, type Raster } from '~~/core/picture/raster'
import { registrationByHand } from '~~/core/register/by-hand'
import { register } from '~~/core/register/register'
import { decoded } from './decoded'
import type { Side, VersionsWorker } from './versions-protocol'

/** As large as a wall shows them. */
const EDGE = 1600
const held = new Map<Side, Raster>()
let laid: Pick<Aligned, 'old' | 'next'> | null = null
const planes = new Map<Side, Planes>()

function picture(side: Side): Raster {
  const found = held.get(side)
  if (!found) throw new Error('the worker holds no picture yet')
  return found
}

async function drawn(raster: Raster): Promise<ImageBitmap> {
  const bitmap = await createImageBitmap(new ImageData(new Uint8ClampedArray(raster.data), raster.width, raster.height))
  return transfer(bitmap, [bitmap])
}

const worker: VersionsWorker = {
  async load(file, side) {
    const raster = await decoded(file, EDGE)
    held.set(side, raster)
    laid = null
    return { width: raster.width, height: raster.height }
  },
  register: async () => register(lumaPlane(picture('old')), lumaPlane(picture('new'))),

  async lay(corners, light) {
    const old = picture('old'),
      next = picture('new'),
      { map } = registrationByHand(old, next, corners)
    planes.clear()
    laid = null
    if (!map) return false
    const aligned = align(old, next, map)
    laid = { old, next: light ? withoutLight(aligned.next, light) : aligned.next }
    return true
  },

  async shown(side, lens) {
    if (!laid) throw new Error('nothing is laid on the old version yet')
    const raster = side === 'old' ? laid.old : laid.next,
      out = createRaster(raster.width, raster.height)
    if (lens.name === 'difference') {
      renderDifference({ old: laid.old, next: laid.next }, lens.kind, out)
      return drawn(out)
    }
    const known = planes.get(side) ?? planesOf(raster)
    planes.set(side, known)
    renderLens(lens, { raster, planes: known, out: out.data })
    return drawn(out)
  },

  plain: async () => drawn(picture('new'))
}

expose(worker)
