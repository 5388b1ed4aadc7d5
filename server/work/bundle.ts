/**
 * Working processes need a real file beside the built server, and Nitro would fold them into a chunk:
 * this bundles each into `<serverDir>/work/`, the sheet's typefaces beside them. What stays outside is native
 * (sharp, canvas) or reads files of its own package (pdfmake, pdfjs).
 */
import { build } from 'esbuild'
import { join } from 'node:path'
import { copyFonts } from './sheet/fonts'

export const WORKERS = ['picture', 'export', 'password'] as const

export async function bundleWorkers(serverDir: string): Promise<void> {
  copyFonts(join(serverDir, 'work/fonts'))
  await build({
    entryPoints: WORKERS.map(name => join(import.meta.dirname, `${name}.worker.ts`)),
    outdir: join(serverDir, 'work'),
    entryNames: '[name]',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    // Constants written into the loops that use them, instead of being looked up in each round.
    minifySyntax: true,
    external: ['sharp', 'pdfmake', 'pdfjs-dist', '@napi-rs/canvas'],
    logLevel: 'warning'
  })
}
