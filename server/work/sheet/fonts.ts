/**
 * The shipped typefaces as the PDF writer takes them: static .woff files, latin and extended latin apart, as the
 * packages have them. Text is set in runs, each in the file that has its letters.
 */
import type { ContentText, TFontDictionary } from 'pdfmake/interfaces'
import { copyFileSync, mkdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import { basename, join } from 'node:path'

const FONT_FILES = [
  ...['latin', 'latin-ext'].flatMap(set =>
    ['400-normal', '600-normal', '400-italic', '600-italic'].map(
      cut => `instrument-sans/files/instrument-sans-${set}-${cut}.woff`
    )
  ),
  ...['latin', 'latin-ext'].flatMap(set =>
    ['400-normal', '600-normal', '400-italic', '600-italic'].map(
      cut => `newsreader/files/newsreader-${set}-${cut}.woff`
    )
  )
]
/** Lays the files out of their packages into one folder: beside the bundled worker, or for a test. */
export function copyFonts(folder: string): void {
  const { resolve } = createRequire(import.meta.url)
  mkdirSync(folder, { recursive: true })
  for (const file of FONT_FILES) copyFileSync(resolve(`@fontsource/${file}`), join(folder, basename(file)))
}

/** @param folder where the files lie. */
export function fontsIn(folder: string): TFontDictionary {
  const cuts = (name: string, set: string) => ({
    normal: join(folder, `${name}-${set}-400-normal.woff`),
    bold: join(folder, `${name}-${set}-600-normal.woff`),
    italics: join(folder, `${name}-${set}-400-italic.woff`),
    bolditalics: join(folder, `${name}-${set}-600-italic.woff`)
  })
  return {
    Sans: cuts('instrument-sans', 'latin'),
    SansExtended: cuts('instrument-sans', 'latin-ext'),
    Serif: cuts('newsreader', 'latin'),
    SerifExtended: cuts('newsreader', 'latin-ext')
  }
}

/** What the packages' latin files hold (their unicode-range); the extended files hold the rest of the latin script. */
const LATIN =
  /[\p{ASCII}\u0080-\u00ff\u0131\u0152\u0153\u02bb\u02bc\u02c6\u02da\u02dc\u2000-\u206f\u20ac\u2122\u2191\u2193\u2212\u2215]/u

/** A text as runs of one file each. @param style of all of it. */
export function typeset(
  text: string,
  family: 'Sans' | 'Serif',
  style: Omit<ContentText, 'text'> & { readonly width?: number } = {}
): ContentText {
  const runs: { text: string; font: string }[] = []
  for (const letter of text) {
    const font = LATIN.test(letter) ? family : `${family}Extended`
    if (runs.at(-1)?.font === font) runs.at(-1)!.text += letter
    else runs.push({ text: letter, font })
  }
  return { ...style, text: runs }
}
