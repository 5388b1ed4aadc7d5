/**
 * A mail read: from whom, its words, its pictures in files of their own. Run in a working process, since a mail may be
 * large, and made by somebody who means harm.
 */
import { readFile, writeFile } from 'node:fs/promises'
import { convert } from 'html-to-text'
import PostalMime, { addressParser, type Attachment, type Email } from 'postal-mime'
import { LETTER_LIMITS } from '../../../shared/letter'

export interface LeftOut {
  readonly name: string
  readonly why: string
}
/** @property headers those that say who sent it and how, lower case, each as often as it stands, the topmost first. */
export interface LetterRead {
  readonly from: readonly string[]
  readonly name: string
  readonly messageId: string
  readonly references: readonly string[]
  readonly subject: string
  readonly text: string
  readonly headers: Readonly<Record<string, readonly string[]>>
  readonly pictures: readonly { readonly name: string; readonly file: string }[]
  readonly leftOut: readonly LeftOut[]
  /** Longer than is taken: only its head was read. */
  readonly tooLarge: boolean
}

const WATCHED = new Set([
  'auto-submitted',
  'precedence',
  'return-path',
  'list-id',
  'list-unsubscribe',
  'x-auto-response-suppress',
  'authentication-results',
  'content-type'
])
const TEXT_MOST = 4000

const IMAGE = /\.(jpe?g|png|webp|tiff?)$/i
/** What else is sent, and what is said of it. */
const KINDS: readonly (readonly [is: RegExp, why: string])[] = [
  [/\.(heic|heif|avif)$|^image\/(heic|heif|avif)/i, 'cannot be read here: send it as JPEG'],
  [
    /\.(zip|rar|7z|gz|tar|tgz)$|zip|rar|compressed|x-tar/i,
    'is packed, and is not opened: send the pictures themselves'
  ],
  [/\.pdf$|\/pdf/i, 'is a PDF, not a picture'],
  [/^video\/|\.(mov|mp4|avi|mkv)$/i, 'is a film, not a picture'],
  [/^image\//i, 'is a kind of picture that is not read: send it as JPEG or PNG']
]

const oneLine = (text: string, most: number): string =>
  text
    .replace(/[\p{Cc}\p{Cf}]+/gu, ' ')
    .trim()
    .slice(0, most)
const nameOf = ({ filename, mimeType }: Attachment): string =>
  oneLine((filename ?? '').split(/[\\/]/).at(-1)!, 120) || mimeType.split('/')[0] || 'a part'
const idsOf = (header: string | undefined): string[] => header?.match(/<[^<>\s]{1,300}>/g)?.slice(-20) ?? []

export interface LetterRequest {
  /** The mail as it came, or its head alone; its pictures are written beside it, as `file-1` and so on. */
  readonly file: string
  /** How long it is where it lies. */
  readonly bytes: number
}

/** @throws Error of one that is made to be endless. */
export async function letter({ file, bytes }: LetterRequest): Promise<LetterRead> {
  const tooLarge = bytes > LETTER_LIMITS.bytes
  const mail = await PostalMime.parse(await readFile(file), {
    maxNestingDepth: 40,
    maxRfc822NestingDepth: 3,
    maxHeadersSize: 512 * 1024
  })
  const lines = mail.headers.map(({ key, value }) => [key.toLowerCase(), oneLine(value, 2000)] as const),
    headers: Record<string, string[]> = {}
  for (const [key, value] of lines) if (WATCHED.has(key)) (headers[key] ??= []).push(value)
  const from = lines
    .filter(([key]) => key === 'from')
    .flatMap(([, value]) => addressParser(value, { flatten: true }))
    .map(a => oneLine(a.address ?? '', 320).toLowerCase())
    .filter(Boolean)
  return {
    from,
    name: oneLine(mail.from?.name ?? '', 200),
    messageId: idsOf(mail.messageId)[0] ?? '',
    references: [...new Set([...idsOf(mail.references), ...idsOf(mail.inReplyTo)])],
    subject: oneLine(mail.subject ?? '', 300),
    text: tooLarge ? '' : textOf(mail),
    headers,
    ...(tooLarge ? { pictures: [], leftOut: [] } : await picturesOf(mail.attachments, file)),
    tooLarge
  }
}

/** Its plain words; of one that is HTML alone, what is to be read of that: no script, no picture, no address runs. */
function textOf({ text, html }: Email): string {
  const skip = (selector: string) => ({ selector, format: 'skip' })
  const plain = text?.trim()
    ? text
    : convert((html ?? '').slice(0, 200_000), {
        wordwrap: false,
        selectors: [
          ...['script', 'style', 'img', 'head', 'blockquote', 'object', 'iframe'].map(skip),
          { selector: 'a', options: { ignoreHref: true } }
        ],
        limits: { maxDepth: 60, maxChildNodes: 2000 }
      })
  return plain
    .replace(/[^\P{C}\n]/gu, '')
    .trim()
    .slice(0, TEXT_MOST)
}

async function picturesOf(
  attachments: readonly Attachment[],
  file: string
): Promise<Pick<LetterRead, 'pictures' | 'leftOut'>> {
  const pictures: { name: string; file: string }[] = [],
    leftOut: LeftOut[] = []
  for (const part of attachments) {
    const name = nameOf(part),
      known = KINDS.find(([is]) => is.test(name) || is.test(part.mimeType)),
      picture = /^image\/(jpe?g|pjpeg|png|webp|tiff)$/i.test(part.mimeType) || IMAGE.test(name)
    if (!picture) leftOut.push({ name, why: known?.[1] ?? 'is not a picture' })
    else if (pictures.length === LETTER_LIMITS.pictures)
      leftOut.push({ name, why: `is one more than the ${LETTER_LIMITS.pictures} that are taken of one mail` })
    else {
      const own = `${file}-${pictures.length + 1}`
      await writeFile(own, new Uint8Array(part.content as ArrayBuffer), { mode: 0o600 })
      pictures.push({ name, file: own })
    }
  }
  return { pictures, leftOut }
}
