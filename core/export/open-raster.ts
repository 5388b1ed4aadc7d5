/**
 * The layer list of an OpenRaster file (OpenRaster specification, baseline 0.0.5: stack.xml), the topmost layer first.
 */
export interface RasterLayer {
  readonly name: string
  /** Path within the file, e.g. data/original.png. */
  readonly source: string
  readonly x: number
  readonly y: number
}

/** First in the file and stored: how a reader knows what it is. */
export const OPEN_RASTER_TYPE = 'image/openraster'
/** Longest edge of the thumbnail. */
export const OPEN_RASTER_THUMB = 256

const escape = (text: string): string =>
  text
    .replace(/[&<>"]/g, c => `&#${c.charCodeAt(0)};`)
    .replace(/\s/g, ' ')
    .replace(/\p{Cc}/gu, '')

/** @param layers from the top down. */
export function stackXml(width: number, height: number, layers: readonly RasterLayer[]): string {
  const rows = layers.map(
    ({ name, source, x, y }) =>
      `    <layer name="${escape(name)}" src="${source}" x="${x}" y="${y}"`
      + ' opacity="1.0" visibility="visible" composite-op="svg:src-over"/>'
  )
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<image version="0.0.5" w="${width}" h="${height}" xres="72" yres="72">`,
    '  <stack>',
    ...rows,
    '  </stack>',
    '</image>',
    ''
  ].join('\n')
}
