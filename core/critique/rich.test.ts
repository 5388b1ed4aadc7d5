import { expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { parseRich, writeRich, type RichBlock } from './rich'

const plain = (text: string): RichBlock => ({ kind: 'paragraph', spans: [{ text, strong: false, stressed: false }] })

it('reads strong and stressed words and lists as CommonMark does, and plain words as they are', () => {
  // CommonMark 0.31.2: examples 350 (stressed), 378 (strong), 14 (escapes), 301 (bullet list); numbers from memory.
  expect(parseRich('*foo bar*')).toEqual([
    { kind: 'paragraph', spans: [{ text: 'foo bar', strong: false, stressed: true }] }
  ])
  expect(parseRich('**foo bar**')).toEqual([
    { kind: 'paragraph', spans: [{ text: 'foo bar', strong: true, stressed: false }] }
  ])
  expect(parseRich('\\*not emphasised\\*')).toEqual([plain('*not emphasised*')])
  expect(parseRich('- foo\n- bar').map(b => b.kind)).toEqual(['item', 'item'])
  expect(parseRich('2 * 3 is six\n\nand a star * alone')).toEqual([plain('2 * 3 is six'), plain('and a star * alone')])
})

it('gives back what was written, whatever it holds', () => {
  const random = seededRandom(17),
    letters = ['a', 'b ', '*', '\\', '- ', '**', 'é', ' '],
    pick = (): string => letters[Math.floor(random() * letters.length)]!
  for (let k = 0; k < 3000; k++) {
    const text = (): string => `x${Array.from({ length: 5 }, pick).join('')}y`
    // Neighbouring spans differ, and one emphasis does not follow straight on another: an editor makes no others that
    // mean something.
    const blocks: RichBlock[] = Array.from({ length: 3 }, () => ({
      kind: random() < 0.3 ? 'item' : 'paragraph',
      spans: [
        { text: text(), strong: false, stressed: false },
        { text: text(), strong: random() < 0.5, stressed: true },
        { text: text(), strong: false, stressed: false }
      ]
    }))
    expect(parseRich(writeRich(blocks)), `seed 17, round ${k}: ${writeRich(blocks)}`).toEqual(blocks)
  }
})
