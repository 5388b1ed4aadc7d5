import { expect, it } from 'vitest'
import { nestingOf } from './body'

it('counts how deep brackets nest, and not those in words', () => {
  const depth = (json: string): number => nestingOf(Buffer.from(json))
  expect(['1', '{}', '[[],[]]', '{"a":[{"b":[]}]}', '"[[[["', '{"a":"\\"[[["}', '["\\\\",[]]'].map(depth)).toEqual([
    0, 1, 2, 4, 0, 1, 2
  ])
  expect(depth('['.repeat(100_000))).toBe(100_000)
})
