/**
 * A critic's words with a little emphasis, kept as plain text: a line is a paragraph, a line that begins with
 * "- " an item of a list, **…** strong, *…* stressed (the common subset of CommonMark 0.31.2); a backslash takes the
 * meaning from the character after it.
 */
export interface RichSpan {
  readonly text: string
  readonly strong: boolean
  readonly stressed: boolean
}
export interface RichBlock {
  readonly kind: 'paragraph' | 'item'
  readonly spans: readonly RichSpan[]
}

function spansOf(line: string): RichSpan[] {
  const spans: RichSpan[] = []
  let text = '',
    strong = false,
    stressed = false
  const flush = (): void => {
    if (text) spans.push({ text, strong, stressed })
    text = ''
  }
  for (let i = 0; i < line.length; i++) {
    if (line[i] === '\\' && i + 1 < line.length) text += line[++i]
    // A star with nothing that closes it is a star.
    else if (line.startsWith('**', i) && (strong || line.includes('**', i + 2))) {
      flush()
      strong = !strong
      i++
    } else if (line[i] === '*' && (stressed || line.includes('*', i + 1))) {
      flush()
      stressed = !stressed
    } else text += line[i]
  }
  flush()
  return spans
}

/** Empty lines are only space between the others. */
export function parseRich(words: string): RichBlock[] {
  return words
    .split('\n')
    .filter(line => line.trim())
    .map(line =>
      line.startsWith('- ')
        ? { kind: 'item', spans: spansOf(line.slice(2)) }
        : { kind: 'paragraph', spans: spansOf(line) }
    )
}

/** Blocks → words: `parseRich` gives the same blocks again. */
export function writeRich(blocks: readonly RichBlock[]): string {
  return blocks
    .map(({ kind, spans }) => {
      const line = spans
        .map(({ text, strong, stressed }) => {
          const mark = (strong ? '**' : '') + (stressed ? '*' : '')
          return `${mark}${text.replace(/[\\*]/g, '\\$&')}${[...mark].reverse().join('')}`
        })
        .join('')
      return kind === 'item' ? `- ${line}` : line.replace(/^- /, '\\- ')
    })
    .join('\n')
}
