<script setup lang="ts">
import StarterKit from '@tiptap/starter-kit'
import { EditorContent, useEditor } from '@tiptap/vue-3'
import { parseRich, writeRich } from '~~/core/critique/rich'
import { blocksOf, documentOf } from '~/utils/richDocument'

/**
 * A plain editor: paragraphs, one kind of list, strong and stressed words. What else is pasted comes in as plain words.
 */
const words = defineModel<string>({ required: true })
const props = defineProps<{
  label: string
  /** As it stands over the field, where there is little room. */ short?: string
}>()
const emit = defineEmits<{ blur: [] }>()

const editor = useEditor({
  extensions: [
    StarterKit.configure({
      heading: false,
      blockquote: false,
      code: false,
      codeBlock: false,
      horizontalRule: false,
      link: false,
      orderedList: false,
      strike: false,
      underline: false,
      hardBreak: false,
      dropcursor: false,
      gapcursor: false,
      trailingNode: false
    })
  ],
  content: documentOf(parseRich(words.value)),
  editorProps: { attributes: { 'aria-label': props.label, role: 'textbox', 'aria-multiline': 'true' } },
  onUpdate: ({ editor: now }) => {
    words.value = writeRich(blocksOf(now.getJSON()))
  },
  onBlur: () => emit('blur')
})
// Words that came from elsewhere: a proposal, another window.
watch(words, now => {
  const document = editor.value
  if (document && writeRich(blocksOf(document.getJSON())) !== now)
    document.commands.setContent(documentOf(parseRich(now)), { emitUpdate: false })
})
const COMMANDS = [
  { name: 'bold', words: 'strong', run: () => editor.value?.chain().focus().toggleBold().run() },
  { name: 'italic', words: 'stressed', run: () => editor.value?.chain().focus().toggleItalic().run() },
  { name: 'bulletList', words: 'list', run: () => editor.value?.chain().focus().toggleBulletList().run() }
] as const
</script>

<template>
  <div class="editor">
    <p class="head">
      <span>{{ short ?? label }}</span><button
        v-for="c in COMMANDS"
        :key="c.name"
        type="button"
        class="word-link"
        :aria-pressed="editor?.isActive(c.name) ?? false"
        @mousedown.prevent
        @click="c.run"
      >
        {{ c.words }}
      </button>
    </p>
    <EditorContent :editor="editor" />
  </div>
</template>

<style scoped>
.editor {
  border: 1px solid var(--l60);
  border-radius: 2px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: baseline;
  padding: 4px 12px 0;
  font-size: 12px;
  color: var(--panel-quiet);
}
.head span {
  flex: 1;
}
.head .word-link {
  font-size: 12px;
}
[aria-pressed='true'] {
  color: var(--panel-ink);
  font-weight: 600;
  border-bottom-width: 2px;
}
.editor :deep(.ProseMirror) {
  padding: 6px 12px 10px;
  min-height: 104px;
  outline: none;
  font-family: var(--serif);
  font-size: 16px;
  line-height: 1.4;
}
.editor:focus-within {
  border-color: var(--l96);
  box-shadow: inset 0 0 0 1px var(--l96);
}
.editor :deep(ul) {
  padding-left: 18px;
  list-style: '– ';
}
</style>
