/**
 * A form with files, taken apart as it comes: words are kept in memory, each file goes to a scratch file of its own. A
 * form is never held whole, and no part may be longer than its limit.
 */
import { createWriteStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { Busboy, type BusboyHeaders } from '@fastify/busboy'
import type { H3Event } from 'h3'
import { AppError } from '../../shared/errors'
import { PICTURE_LIMITS } from '../../shared/pieces/submission'
import { dropScratch, scratchFile } from '../scratch'

export interface FormLimits {
  /** Names of its file parts; others are refused. */
  readonly files: readonly string[]
  readonly fileBytes: number
  readonly fields: number
  readonly fieldBytes: number
  /** What is said of a file that is too long. */
  readonly tooLong: string
}

export interface Form {
  readonly words: Readonly<Record<string, string>>
  /** Where each file that is not empty lies. */
  readonly files: ReadonlyMap<string, string>
}

/** A picture, the one it was made from, and a few words. */
export const PICTURE_FORM: FormLimits = {
  files: ['picture', 'reference'],
  fileBytes: PICTURE_LIMITS.bytes,
  fields: 20,
  fieldBytes: 4096,
  tooLong: 'The file is larger than 25 MB.'
}
/** A slow line, and a queue before the picture is looked at: milliseconds. */
export const PICTURE_FORM_MS = 10 * 60_000

/** Nothing comes any more: milliseconds until the sender is given up. */
const SILENT_MS = 30_000

/**
 * Takes the form apart and hands it to `work`; its files are gone when that ends.
 * @throws AppError too-large, invalid, wrong-type; what is still being sent flows past unread.
 */
export async function withForm<T>(event: H3Event, limits: FormLimits, work: (form: Form) => Promise<T>): Promise<T> {
  const files = new Map<string, string>()
  try {
    return await work(await read(event, limits, files))
  } finally {
    await Promise.all([...files.values()].map(dropScratch))
  }
}

/** A form that is one photograph. @param file of it, gone after the work. @throws AppError invalid without it. */
export const withPhotograph = <T>(event: H3Event, work: (file: string) => Promise<T>): Promise<T> =>
  withForm(event, { ...PICTURE_FORM, files: ['picture'] }, ({ files }) => {
    const file = files.get('picture')
    if (!file) throw new AppError('invalid', 'The photograph is missing.')
    return work(file)
  })

async function read({ node: { req } }: H3Event, limits: FormLimits, files: Map<string, string>): Promise<Form> {
  const longest = limits.files.length * limits.fileBytes + limits.fields * (limits.fieldBytes + 1024)
  if (Number(req.headers['content-length'] ?? 0) > longest) throw new AppError('too-large', limits.tooLong)
  if (!/^multipart\/form-data\b/i.test(req.headers['content-type'] ?? ''))
    throw new AppError('wrong-type', 'A form with a file is wanted here.')
  const words: Record<string, string> = Object.create(null) as Record<string, string>,
    empty = new Set<string>()
  const form = parserOf(req.headers as BusboyHeaders, limits)
  const writing: Promise<void>[] = []
  await new Promise<void>((resolve, reject) => {
    const stop = (error: AppError): void => {
      req.unpipe(form)
      req.resume()
      reject(error)
    }
    const broken = (): void => stop(new AppError('invalid', 'The upload broke off before its end. Send it again.'))
    req.setTimeout(SILENT_MS, () => {
      broken()
      req.destroy()
    })
    req.once('aborted', broken).once('error', broken)
    for (const event of ['partsLimit', 'filesLimit', 'fieldsLimit'] as const)
      form.once(event, () => stop(new AppError('invalid', 'The form has more parts than it should.')))
    form.once('error', broken)
    form.on('field', (name, value, _nameCut, cut) => {
      if (cut) stop(new AppError('too-large', `“${name.slice(0, 40)}” is too long.`))
      words[name] = value
    })
    form.on('file', (name, stream) => {
      if (!limits.files.includes(name) || files.has(name)) {
        stream.resume()
        return stop(new AppError('invalid', 'The form has a file that nobody asked for.'))
      }
      const file = scratchFile()
      files.set(name, file)
      let length = 0
      stream.on('data', (part: Buffer) => {
        length += part.length
      })
      stream.once('limit', () => stop(new AppError('too-large', limits.tooLong)))
      const written = pipeline(stream, createWriteStream(file, { mode: 0o600 })).then(() => {
        if (length === 0) empty.add(name)
      })
      written.catch(broken)
      writing.push(written)
    })
    form.once('finish', () => {
      Promise.all(writing).then(() => resolve(), broken)
    })
    req.pipe(form)
  }).finally(() => req.setTimeout(0))
  return { words, files: new Map([...files].filter(([name]) => !empty.has(name))) }
}

function parserOf(
  headers: BusboyHeaders,
  { files, fileBytes, fields, fieldBytes }: FormLimits
): InstanceType<typeof Busboy> {
  try {
    return new Busboy({
      headers,
      limits: {
        // One byte and one part more than allowed tell that there is too much.
        files: files.length + 1,
        fileSize: fileBytes + 1,
        fields: fields + 1,
        fieldSize: fieldBytes,
        fieldNameSize: 100,
        headerPairs: 20,
        parts: files.length + fields + 2
      }
    })
  } catch {
    throw new AppError('invalid', 'This form cannot be read.')
  }
}
