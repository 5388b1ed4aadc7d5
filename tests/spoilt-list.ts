/** A school's list of three hundred, with the mistakes that lists have. */
import Papa from 'papaparse'

/** Twelve kinds of mistakes: a row's cells, the column it is said at, and what is said. */
const mistakesOf = (mark: string): readonly (readonly [cells: readonly string[], column: string, says: RegExp])[] => [
  [['', 'nameless@school.example', ''], 'Name', /missing/],
  [['N'.repeat(121), 'long@school.example', ''], 'Name', /at most 120/],
  [['=1+1', 'formula@school.example', ''], 'Name', /formula/],
  [['12345', 'number@school.example', ''], 'Name', /one letter/],
  [['swapped@school.example', '', ''], 'Name', /an address, where a name/],
  [['Half Address', 'half@', ''], 'E-mail', /in full/],
  [
    ['Far Address', `${'a'.repeat(60)}@${'b'.repeat(60)}.${'c'.repeat(60)}.${'d'.repeat(40)}.example`, ''],
    'E-mail',
    /./
  ],
  [['Twice There', `pupil-1-${mark}@school.example`, ''], 'address', /row 3 already/],
  [['Namesake Only', '', ''], 'name', /row \d+ already/],
  [['Bad Login', '', 'two words'], 'Sign-in name', /no spaces/],
  [['Same Login', '', `heron-${mark}`], 'sign-in name', /row \d+ already/],
  [['Extra', 'cells@school.example', '', 'and', 'more'], '', /2 cells more/]
]

/**
 * Three hundred rows, a mistake at every twentieth or so; @param mark that nobody else's list carries: an address and a
 * sign-in name are anybody's in the house. @returns the text, and which row has which.
 */
export function spoiltList(mark: string): { text: string; mistakes: { row: number; column: string; says: RegExp }[] } {
  const rows: (readonly string[])[] = Array.from({ length: 300 }, (_, i) => [
    `Pupil ${'abcdefghij'[i % 10]} ${i}`,
    `pupil-${i}-${mark}@school.example`,
    ''
  ])
  rows[10] = ['Namesake Only', '', '']
  rows[11] = ['First Heron', '', `heron-${mark}`]
  const mistakes = mistakesOf(mark).map(([cells, column, says], i) => {
    rows[20 + 20 * i] = cells
    return { row: 22 + 20 * i, column, says }
  })
  return { text: Papa.unparse([['Name', 'E-mail', 'Sign-in name'], ...rows.map(r => [...r])]), mistakes }
}
