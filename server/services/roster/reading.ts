/**
 * A list of people as instructors have them: a table from a school's office, or names one a line. What is wrong is said
 * by row and column.
 */
import Papa from 'papaparse'
import { AppError } from '../../../shared/errors'
import { emailSchema, nameSchema } from '../../../shared/account'

export interface ReadRow {
  /** As the list counts it, from 1, its heading included. */
  readonly row: number
  readonly name: string
  readonly email: string | null
  readonly signInName: string | null
  readonly mistakes: readonly Mistake[]
}
export interface Mistake {
  readonly column: string
  readonly message: string
}
export interface ReadList {
  /** Headings that were understood, as the list has them, and those that were left out. */
  readonly columns: string[]
  readonly ignored: string[]
  readonly rows: ReadRow[]
}

const MOST_ROWS = 1000

/** What a column may be headed, in small letters without marks. */
const HEADINGS = {
  name: /^(full |learner |student |pupil )?name$|^(learner|student|pupil|participant)$/,
  first: /^(first|given|fore) ?name$|^first$/,
  last: /^(last|family|sur) ?name$|^last$/,
  email: /^(e ?mail|mail)( address)?$|^address$/,
  signInName: /^(sign in|login|log in|user) ?(name)?$|^username$/
} as const
type Column = keyof typeof HEADINGS
const plain = (heading: string): string =>
  heading
    .toLowerCase()
    .replace(/[^\p{L}]+/gu, ' ')
    .trim()
const columnOf = (heading: string): Column | null =>
  (Object.keys(HEADINGS) as Column[]).find(c => HEADINGS[c].test(plain(heading))) ?? null

const SIGN_IN_NAME = /^[\p{L}\p{N}][\p{L}\p{N}._-]{2,49}$/u
const ADDRESS = /[^\s<>,;"]+@[^\s<>,;"]+/

interface Heading {
  readonly text: string
  readonly column: Column | null
}

/** Without a heading: names, and addresses wherever they stand. */
function bareRow(cells: readonly string[], row: number): ReadRow {
  const line = cells.filter(Boolean).join(' '),
    address = ADDRESS.exec(line)?.[0] ?? ''
  const name = (address ? line.replace(address, '') : line).replace(/[<>"]/g, '').replace(/\s+/g, ' ').trim()
  return checkedRow(row, { name, email: address }, name => (name === 'email' ? 'address' : 'name'))
}

function headedRow(cells: readonly string[], headings: readonly Heading[], row: number): ReadRow {
  const of = (column: Column): string => cells[headings.findIndex(h => h.column === column)]?.trim() ?? ''
  const called = (column: Column): string => headings.find(h => h.column === column)?.text ?? 'name'
  const name = of('name') || [of('first'), of('last')].filter(Boolean).join(' ')
  const read = checkedRow(row, { name, email: of('email'), signInName: of('signInName') }, c =>
    c === 'name' && !headings.some(h => h.column === 'name') ? called('first') : called(c)
  )
  const extra = cells.slice(headings.length).filter(cell => cell.trim()).length
  const gap = extra
    ? [
        {
          column: '',
          message:
            `There ${extra === 1 ? 'is a cell' : `are ${extra} cells`} more than columns:`
            + ' is a comma missing its quotes?'
        }
      ]
    : []
  return { ...read, mistakes: [...read.mistakes, ...gap] }
}

function checkedRow(
  row: number,
  { name, email, signInName = '' }: { readonly name: string; readonly email: string; readonly signInName?: string },
  called: (column: 'name' | 'email' | 'signInName') => string
): ReadRow {
  const mistakes: Mistake[] = []
  const wrong = (column: 'name' | 'email' | 'signInName', message: string): number =>
    mistakes.push({ column: called(column), message })
  const checked = nameSchema.safeParse(name)
  if (!checked.success) wrong('name', checked.error.issues[0]!.message)
  // eslint-disable-next-line no-control-regex
  else if (/^[=+@]|[\u0000-\u001f\u007f]/.test(name))
    wrong('name', 'This is a formula or holds signs that no name has.')
  else if (ADDRESS.test(name)) wrong('name', 'This is an address, where a name should be.')
  else if (name.includes('@')) wrong('name', 'There is half an address in this name.')
  else if (!/\p{L}/u.test(name)) wrong('name', 'A name has at least one letter.')
  const address = email && emailSchema.safeParse(email)
  if (address && !address.success) wrong('email', address.error.issues[0]!.message)
  if (signInName && !SIGN_IN_NAME.test(signInName))
    wrong('signInName', 'Three to fifty letters, digits, dots, dashes; no spaces.')
  return {
    row,
    name: checked.success ? checked.data : name.slice(0, 120),
    email: email.toLowerCase() || null,
    signInName: signInName.toLowerCase() || null,
    mistakes
  }
}

/** The same address, the same sign-in name, or twice the same name without an address. */
function withTwice(rows: readonly ReadRow[]): ReadRow[] {
  const seen = new Map<string, number>()
  return rows.map(read => {
    const keys: readonly (readonly [string, string])[] = [
      ...(read.email ? [['address', `e ${read.email}`] as const] : [['name', `n ${read.name.toLowerCase()}`] as const]),
      ...(read.signInName ? [['sign-in name', `s ${read.signInName}`] as const] : [])
    ]
    const twice = keys.flatMap(([what, key]) => {
      const first = read.name || read.email ? seen.get(key) : undefined
      if (first === undefined) seen.set(key, read.row)
      return first === undefined ? [] : [{ column: what, message: `The same ${what} stands in row ${first} already.` }]
    })
    return twice.length ? { ...read, mistakes: [...read.mistakes, ...twice] } : read
  })
}

/** @throws AppError invalid when nothing can be read in it. */
export function readRoster(text: string): ReadList {
  if (text.includes('\0') || text.includes('\ufffd'))
    throw new AppError('invalid', 'This is not a list as text. Save it as CSV, and try again.')
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    delimitersToGuess: [',', ';', '\t', '|'],
    skipEmptyLines: false
  })
  const filled = data
    .map((cells, i) => ({ cells: cells.map(c => c.trim()), row: i + 1 }))
    .filter(r => r.cells.some(Boolean))
  if (filled.length === 0) throw new AppError('invalid', 'There is nobody on this list yet.')
  if (filled.length > MOST_ROWS + 1)
    throw new AppError('invalid', `There are ${filled.length} rows: bring ${MOST_ROWS} people at most at once.`)
  const headings = filled[0]!.cells.map(h => ({ text: h, column: columnOf(h) })),
    headed = headings.some(h => h.column !== null)
  const quotes = new Map(errors.filter(e => e.type === 'Quotes').map(e => [(e.row ?? 0) + 1, true]))
  const rows = (headed ? filled.slice(1) : filled).map(({ cells, row }) => {
    const read = headed ? headedRow(cells, headings, row) : bareRow(cells, row)
    return quotes.has(row)
      ? {
          ...read,
          mistakes: [...read.mistakes, { column: '', message: 'A quotation mark is opened here and not closed.' }]
        }
      : read
  })
  if (rows.length === 0) throw new AppError('invalid', 'Under the heading there is nobody.')
  return {
    columns: headed ? headings.filter(h => h.column).map(h => h.text) : ['name', 'address'],
    ignored: headed ? headings.filter(h => !h.column && h.text).map(h => h.text) : [],
    rows: withTwice(rows)
  }
}
