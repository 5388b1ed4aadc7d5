/** What a mail's words are for: its subject is the title, what was written in it the question. */

const QUESTION_MOST = 500,
  TITLE_MOST = 120
/** Marks of answers and forwards, in the languages that mail programs write them in most. */
const REPLY = /^\s*((re|aw|antw|sv|vs|fwd?|wg|tr|rv|odp)\s*(\[\d+\])?\s*:\s*)+/i
/** A line of what is quoted, or one that leads to it. */
const QUOTED = /^\s*>|^\s*(on|am|le|el) .{6,120}(wrote|schrieb|écrit|escribió).{0,80}:\s*$/i
/** What is below is another mail. */
const OTHER = /^\s*-{2,}\s*(original message|forwarded message|ursprüngliche nachricht|message d'origine)/i
/** RFC 3676, section 4.3: two dashes and a space alone on a line; often the space is lost. */
const SIGNATURE = /^-- ?$/

export const titleOf = (subject: string): string => subject.replace(REPLY, '').trim().slice(0, TITLE_MOST)

/** What was written: without what it quotes, and without the signature or the name it ends with. */
export function writtenOf(text: string, name = ''): string {
  const lines = text.split('\n'),
    end = lines.findIndex(line => OTHER.test(line) || SIGNATURE.test(line))
  return (end < 0 ? lines : lines.slice(0, end))
    .filter(line => !QUOTED.test(line))
    .map(line => line.trimEnd())
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
    .replace(/\n\s*[-–—]?\s*([^\n]{1,60})$/, (end, last: string) => (isNameOf(last, name) ? '' : end))
    .trim()
}

const isNameOf = (text: string, name: string): boolean => {
  const words = text
      .toLowerCase()
      .split(/[\s.,]+/)
      .filter(Boolean),
    own = name.toLowerCase().split(/\s+/)
  return words.length > 0 && words.every(word => own.includes(word))
}

/** As much of it as a question holds: whole sentences, where there are any. */
export function questionOf(written: string): string {
  const text = written.replace(/\s+/g, ' ').trim()
  if (text.length <= QUESTION_MOST) return text
  const cut = text.slice(0, QUESTION_MOST - 2),
    end = Math.max(...['. ', '? ', '! '].map(mark => cut.lastIndexOf(mark)))
  return end > QUESTION_MOST / 3 ? cut.slice(0, end + 1) : `${cut.slice(0, cut.lastIndexOf(' '))} …`
}
