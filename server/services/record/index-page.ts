/** The page that a record opens with: plain HTML, without us, without a network. */
import { format } from 'date-fns'
import { parseRich } from '../../../core/critique/rich'
import { tagOf } from '../../../core/critique/stations/table'
import type { Critique } from '../../../shared/critique'
import { STAGE_WORDS, type PieceFacts } from '../../../shared/pieces/submission'

/** @property files named as they lie in the zip. @property critique null while it is not released. */
export interface RecordPiece {
  readonly piece: PieceFacts
  readonly critique: Critique | null
  readonly picture: string
  readonly files: readonly string[]
}
export interface RecordWords {
  readonly name: string
  readonly classes: readonly string[]
  readonly takenAt: Date
  readonly pieces: readonly RecordPiece[]
}

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;'
}
export const escapeHtml = (text: string): string => text.replace(/[&<>"']/g, sign => ESCAPES[sign]!)
const paragraphs = (words: string): string =>
  parseRich(words)
    .map(({ kind, spans }) => {
      const text = spans.map(s => {
        const plain = escapeHtml(s.text)
        return s.strong ? `<strong>${plain}</strong>` : s.stressed ? `<em>${plain}</em>` : plain
      })
      return `<p>${kind === 'item' ? '· ' : ''}${text.join('')}</p>`
    })
    .join('')

function critiqueHtml({ works, verdict, corrections, answer, questionBack }: Critique): string {
  const list = corrections.map(c => {
    const [tag, what, reason, todo] = [tagOf(c), c.what, c.reason, c.todo].map(escapeHtml)
    return `<li><b>${tag}</b> ${what} ${reason} <em>${todo}</em></li>`
  })
  return [
    paragraphs(works),
    list.length ? `<ol>${list.join('')}</ol>` : '',
    paragraphs(verdict),
    questionBack ? `<p class="quiet">You asked: ${escapeHtml(questionBack)}</p>` : '',
    answer ? `<p class="quiet">The answer: ${escapeHtml(answer)}</p>` : ''
  ].join('')
}

const pieceHtml = ({ piece, critique, picture, files }: RecordPiece): string => `<article>
<img src="${escapeHtml(picture)}" alt="${escapeHtml(piece.title)}">
<div>
<h2>${escapeHtml(piece.title)}</h2>
<p class="quiet">${escapeHtml(
  [piece.medium, STAGE_WORDS[piece.stage], piece.className, format(new Date(piece.handedInAt), 'd MMMM yyyy')]
    .filter(Boolean)
    .join(' · ')
)}</p>
${piece.question ? `<p class="quiet">You asked: ${escapeHtml(piece.question)}</p>` : ''}
${critique ? critiqueHtml(critique) : '<p class="quiet">No critique of it is released.</p>'}
<p class="quiet">${files.map(f => `<a href="${escapeHtml(f)}">${escapeHtml(f.split('/').at(-1)!)}</a>`).join(' · ')}</p>
</div>
</article>`

export const indexPage = ({ name, classes, takenAt, pieces }: RecordWords): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(name)}: the whole record</title>
<style>
body{font:16px/1.45 Georgia,serif;max-width:60rem;margin:2rem auto;padding:0 1rem;background:#f3f3f3;color:#262626}
h1,h2{font-weight:400}
article{display:grid;grid-template-columns:minmax(0,18rem) 1fr;gap:1.5rem;padding:1.5rem 0}
article{border-top:1px solid #c6c6c6}
img{max-width:100%}.quiet{color:#5e5e5e;font-size:.9rem}a{color:#7c3a26}
@media(max-width:40rem){article{grid-template-columns:1fr}}
</style>
<h1>${escapeHtml(name)}</h1>
<p class="quiet">${escapeHtml(classes.join(', '))} · taken on ${format(takenAt, 'd MMMM yyyy')} · everything is in this
folder: pictures as handed in (without place and camera), critiques and readings as JSON and CSV.
<a href="record.json">record.json</a> holds what belongs to no piece.</p>
${pieces.map(pieceHtml).join('\n')}
</html>
`
