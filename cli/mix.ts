/**
 * `npm run --silent mix -- HEX:PARTS… [--wheel …]`: what paints of these colours give, described as `colour` does.
 * `npm run --silent mix -- --to HEX --paints FILE.gpl`: the three best recipes, one a line.
 */
import { readFile } from 'node:fs/promises'
import { linearOfHex, parseHex } from '../core/colour/srgb'
import { readPaintList } from '../core/paint/gpl'
import { mixtureOf } from '../core/paint/mixture'
import { boxOf } from '../core/paint/own'
import { toldRecipes } from '../core/paint/told'
import { describeColour } from '../core/wheel/describe'
import { WHEEL_NAMES } from '../core/wheel/steps'
import { command, oneOf, readArguments, UsageError } from './arguments'

/** What is wrong with a value is the user's to read. */
function read<T>(of: () => T): T {
  try {
    return of()
  } catch (error) {
    if (error instanceof RangeError) throw new UsageError(error.message)
    throw error
  }
}

/** @param text `2a71b0:3`; without parts one. */
function partOf(text: string) {
  const [hex, amount = '1'] = text.split(':')
  read(() => parseHex(hex!))
  const parts = Number(amount)
  if (!(parts >= 0 && Number.isFinite(parts)))
    throw new UsageError(`"${text}": parts are a number of 0 or more, as in 2a71b0:3`)
  return { paint: { masstone: hex!, tint: null }, amount: parts }
}

async function ownPaints(file: string) {
  const text = await readFile(file, 'utf8').catch(() => {
    throw new UsageError(`${file} cannot be read`)
  })
  return read(() => readPaintList(text)).map(paint => ({ ...paint, medium: 'other' as const, pigment: '' }))
}

const write = (line: object): void => void process.stdout.write(`${JSON.stringify(line)}\n`)

await command(async () => {
  const options = { wheel: { type: 'string' }, to: { type: 'string' }, paints: { type: 'string' } } as const,
    argv = process.argv.slice(2),
    asked = argv.some(a => a.startsWith('--to'))
  const { values, positionals } = readArguments(argv, options, asked ? null : 'colour and its parts, as in 2a71b0:3')
  if (values.to !== undefined) {
    if (values.paints === undefined) throw new UsageError('--to needs --paints FILE.gpl: whose paints are mixed')
    const wanted = read(() => linearOfHex(values.to!)),
      recipes = toldRecipes(wanted, boxOf(await ownPaints(values.paints)))
    if (!recipes.length) throw new UsageError(`${values.paints} holds nothing but white`)
    recipes.forEach(write)
    return 0
  }
  const hex = mixtureOf(positionals.map(partOf))
  if (!hex) throw new UsageError('nothing is mixed: every part is 0')
  write(describeColour(hex, oneOf('wheel', values.wheel, WHEEL_NAMES)))
  return 0
})
