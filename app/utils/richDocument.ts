/**
 * The editor's document from a critic's words, and back: paragraphs and one kind of list, strong and stressed, nothing
 * else.
 */
import type { JSONContent } from '@tiptap/vue-3'
import type { RichBlock, RichSpan } from '~~/core/critique/rich'

const marksOf = ({ strong, stressed }: RichSpan): JSONContent['marks'] => [
  ...(strong ? [{ type: 'bold' }] : []),
  ...(stressed ? [{ type: 'italic' }] : [])
]
const paragraphOf = ({ spans }: RichBlock): JSONContent => ({
  type: 'paragraph',
  content: spans.map(span => ({ type: 'text', text: span.text, marks: marksOf(span) }))
})

export function documentOf(blocks: readonly RichBlock[]): JSONContent {
  const content: JSONContent[] = []
  for (const block of blocks) {
    if (block.kind === 'paragraph') content.push(paragraphOf(block))
    else {
      const item = { type: 'listItem', content: [paragraphOf(block)] }
      if (content.at(-1)?.type === 'bulletList') content.at(-1)!.content!.push(item)
      else content.push({ type: 'bulletList', content: [item] })
    }
  }
  return { type: 'doc', content: content.length ? content : [{ type: 'paragraph' }] }
}

/** A list within a list becomes part of the outer one: the words know only one depth. */
export function blocksOf(node: JSONContent, kind: RichBlock['kind'] = 'paragraph'): RichBlock[] {
  if (node.type !== 'paragraph')
    return (node.content ?? []).flatMap(child => blocksOf(child, node.type === 'listItem' ? 'item' : kind))
  const spans = (node.content ?? []).map(({ text, marks }) => ({
    text: text ?? '',
    strong: marks?.some(m => m.type === 'bold') ?? false,
    stressed: marks?.some(m => m.type === 'italic') ?? false
  }))
  return spans.length ? [{ kind, spans }] : []
}
