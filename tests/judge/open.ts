/**
 * Open pictures for the judgement bench, fetched from the Debian archive when it runs, never committed or shown. What a
 * person said of each was written down before anything of ours was run on it. Of the second set odd ones are kept back:
 * they are reported, and none of theirs is shown by name.
 */
import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

/** Packages and the licences of their pictures, by debian/copyright. */
export const PACKAGES = [
  { name: 'lomiri-wallpapers-16.04', licence: 'CC-BY-SA-3.0 and -4.0' },
  { name: 'lomiri-wallpapers-20.04', licence: 'CC-BY-SA-4.0' },
  { name: 'wesnoth-1.16-trow', licence: 'GPL-2+ and CC-BY-SA-4.0' },
  { name: 'wesnoth-1.16-httt', licence: 'GPL-2+ and CC-BY-SA-4.0' },
  { name: 'wesnoth-1.16-utbs', licence: 'GPL-2+ and CC-BY-SA-4.0' },
  { name: 'wesnoth-1.16-thot', licence: 'GPL-2+ and CC-BY-SA-4.0' },
  { name: 'wesnoth-1.16-did', licence: 'GPL-2+ and CC-BY-SA-4.0' },
  { name: 'endless-sky-data', licence: 'public domain, CC-BY-SA-3.0 and -4.0' },
  { name: 'python3-sklearn', licence: 'CC-BY-2.0' },
  { name: 'freeorion-data', licence: 'CC-BY-SA-3.0' },
  ...['dm', 'dw', 'ei', 'l', 'low', 'nr', 'sof', 'sota', 'sotbe', 'tsg', 'ttb'].map(campaign => ({
    name: `wesnoth-1.16-${campaign}`,
    licence: 'GPL-2+ and CC-BY-SA-4.0'
  })),
  { name: 'wesnoth-1.16-data', licence: 'GPL-2+ and CC-BY-SA-4.0' },
  { name: 'mate-backgrounds', licence: 'GPL-2+' },
  { name: 'ukui-wallpapers', licence: 'CC-BY-SA-3.0' },
  { name: 'plasma-workspace-wallpapers', licence: 'GPL-2+' }
]

type Box = readonly [x: number, y: number, w: number, h: number]

export interface Label {
  /** What its file name begins with. */
  readonly file: string
  /** What stands in its path, where several are named alike. */
  readonly from?: string
  /** Where the eye goes first; any of these. None where nothing leads. */
  readonly look: readonly Box[]
  /** What a teacher would say first, by the reading: any of these; none for a picture with nothing to change. */
  readonly first: readonly string[]
  /** Height of a division from side to side; where a person would not say whether there is one, it is not counted. */
  readonly horizon?: number | 'unsure'
}

function filesBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry =>
    entry.isDirectory() ? filesBelow(join(folder, entry.name)) : [join(folder, entry.name)]
  )
}

/**
 * @returns every picture file of the packages, fetched first where they are not there. @throws Error without a network.
 */
export function openPictures(folder: string): string[] {
  mkdirSync(folder, { recursive: true })
  for (const { name } of PACKAGES) {
    const to = join(folder, name)
    if (existsSync(to)) continue
    execFileSync('apt-get', ['download', name], { cwd: folder, stdio: 'ignore' })
    const deb = readdirSync(folder).find(f => f.startsWith(`${name}_`))!
    execFileSync('dpkg-deb', ['-x', join(folder, deb), to])
  }
  return PACKAGES.flatMap(({ name }) => filesBelow(join(folder, name)))
}
