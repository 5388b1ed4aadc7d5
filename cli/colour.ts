/** `npm run --silent colour -- HEX… [--wheel painter|process|perceptual]`: one JSON description a line. */
import { parseHex } from '../core/colour/srgb'
import { describeColour } from '../core/wheel/describe'
import { WHEEL_NAMES } from '../core/wheel/steps'
import { command, oneOf, readArguments, UsageError } from './arguments'

await command(async () => {
  const { values, positionals } = readArguments(
    process.argv.slice(2),
    { wheel: { type: 'string' } },
    'colour, as in 2a71b0'
  )
  const wheel = oneOf('wheel', values.wheel, WHEEL_NAMES)
  for (const hex of positionals) {
    try {
      parseHex(hex)
    } catch (error) {
      throw new UsageError((error as Error).message)
    }
  }
  for (const hex of positionals) process.stdout.write(`${JSON.stringify(describeColour(hex, wheel))}\n`)
  return 0
})
