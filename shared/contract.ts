/**
 * A schema that knows all of the type it stands for. `satisfies` lets a part pass that the type may leave out and the
 * schema forgot, and parsing would then strip it without a word.
 */
import type { z } from 'zod'

type Whole<T> = T extends string | number | boolean | null | undefined
  ? T
  : { readonly [K in keyof T]-?: Whole<Exclude<T[K], undefined>> }

/** Every part of T, those that may be missing among them, is known to S. */
type Knows<S extends z.ZodType, T> =
  Whole<z.infer<S>> extends Whole<T> ? unknown : { readonly 'forgets a part of its type': never }

export const contractOf =
  <T>() =>
  <S extends z.ZodType<T>>(schema: S & Knows<S, T>): S =>
    schema
