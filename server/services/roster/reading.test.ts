import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { spoiltList } from '../../../tests/spoilt-list'
import { readRoster } from './reading'

describe('a list of people', () => {
  it('is understood by its headings, whatever they are called and however it is separated', () => {
    // Quoting by RFC 4180; headings as school offices write them: common practice, no source.
    const people = [['Ada Quill', 'ada@school.example']]
    for (const heading of [
      ['Name', 'E-mail'],
      ['FULL NAME', 'Email address'],
      ['Student name', 'Mail']
    ])
      for (const delimiter of [',', ';', '\t']) {
        const { rows } = readRoster(Papa.unparse({ fields: heading, data: people }, { delimiter }))
        expect(rows).toEqual([
          { row: 2, name: 'Ada Quill', email: 'ada@school.example', signInName: null, mistakes: [] }
        ])
      }
    const { rows, ignored } = readRoster('\ufeffSurname,First name,House,Email\r\n"Quill, of the mill",Ada,Blue,\r\n')
    expect(ignored).toEqual(['House'])
    expect(rows[0]).toMatchObject({ name: 'Ada Quill, of the mill', email: null, mistakes: [] })
  })

  it('is names one a line too, with an address wherever it stands', () => {
    expect(readRoster('Ada Quill, half@').rows[0]!.mistakes).toEqual([
      { column: 'name', message: 'There is half an address in this name.' }
    ])
    expect(
      readRoster('Ada Quill\nBram Osei <Bram@school.example>\n\nines@school.example, Ines Marlow\nЛида Вест').rows.map(
        r => [r.row, r.name, r.email]
      )
    ).toEqual([
      [1, 'Ada Quill', null],
      [2, 'Bram Osei', 'bram@school.example'],
      [4, 'Ines Marlow', 'ines@school.example'],
      [5, 'Лида Вест', null]
    ])
  })

  it.each([
    ['nothing', '', 'nobody on this list'],
    ['empty lines', '\n \n', 'nobody on this list'],
    ['a heading alone', 'Name,E-mail\n', 'Under the heading'],
    ['a file that is no text', 'PK\0\0\x03', 'not a list as text'],
    ['too many', Array.from({ length: 1200 }, (_, i) => `Pupil ${i}`).join('\n'), 'at most at once']
  ])('that is none says so: %s', (_, text, words) => {
    expect(() => readRoster(text)).toThrow(words)
  })
})

it('three hundred rows with twelve kinds of mistakes: each is named by row and column, and nothing else is', () => {
  const { text, mistakes } = spoiltList('one'),
    { rows } = readRoster(text)
  expect(rows).toHaveLength(300)
  const found = rows.flatMap(r => r.mistakes.map(m => ({ row: r.row, ...m })))
  expect(found.map(m => m.row)).toEqual(mistakes.map(m => m.row))
  mistakes.forEach(({ column, says }, i) => {
    expect(found[i]!.column).toBe(column)
    expect(found[i]!.message).toMatch(says)
  })
})
