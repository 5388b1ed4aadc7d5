/** The editor's document and the words that are kept: there and back, and what an editor may come up with besides. */
import { getSchema } from '@tiptap/vue-3'
import StarterKit from '@tiptap/starter-kit'
import { Node } from '@tiptap/pm/model'
import { expect, it } from 'vitest'
import { parseRich, writeRich } from '../../core/critique/rich'
import { blocksOf, documentOf } from './richDocument'

const schema = getSchema([StarterKit])

it.each([
  '',
  'One line',
  'First the **lights**.\nThen *edges*, ***both***.',
  '- one\n- two\nand after\n- three',
  'A star \\* and a backslash \\\\'
])("%j is a document of the editor's own schema, and comes back the same", words => {
  const document = Node.fromJSON(schema, documentOf(parseRich(words)))
  document.check() // throws where the schema has no such node, mark or place
  expect(writeRich(blocksOf(document.toJSON() as never))).toBe(words)
})

it('a list within a list becomes part of the outer one, an empty paragraph is nothing, unknown marks are plain', () => {
  const item = (...content: object[]): object => ({ type: 'listItem', content }),
    text = (t: string, ...marks: string[]): object => ({
      type: 'paragraph',
      content: [{ type: 'text', text: t, marks: marks.map(type => ({ type })) }]
    })
  expect(
    writeRich(
      blocksOf({
        type: 'doc',
        content: [
          { type: 'paragraph' },
          {
            type: 'bulletList',
            content: [item(text('one'), { type: 'bulletList', content: [item(text('two', 'strike'))] })]
          },
          text('end', 'bold')
        ]
      } as never)
    )
  ).toBe('- one\n- two\n**end**')
})
