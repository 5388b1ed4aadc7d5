/** A kernel in WebAssembly: what a loop over numbers is fastest in. It comes as text, and is carried as its bytes. */
import { bytesOf } from './base64'

/** What a kernel works in: it only grows. */
export interface Memory {
  readonly buffer: ArrayBuffer
  grow(pages: number): number
}

/** What the language itself brings, where it brings it. */
declare const WebAssembly:
  | {
      Module: new (bytes: Uint8Array) => object
      Instance: new (module: object) => { readonly exports: unknown }
    }
  | undefined

const PAGE = 65_536

/** @param bytes in base 64. @throws where the machine cannot run it. */
export function openKernel<Exports>(bytes: string): Exports {
  const { Module, Instance } = WebAssembly!
  return new Instance(new Module(bytesOf(bytes))).exports as Exports
}

/** Lets the memory hold so many bytes. Views of it from before no longer hold anything. */
export function growTo(memory: Memory, bytes: number): void {
  const lacking = Math.ceil((bytes - memory.buffer.byteLength) / PAGE)
  if (lacking > 0) memory.grow(lacking)
}

/** Made when it is first asked for. @returns null where the machine cannot. */
export function openOnce<T>(make: () => T): () => T | null {
  let made: T | null | undefined
  return () => {
    if (made !== undefined) return made
    try {
      made = make()
    } catch {
      made = null
    }
    return made
  }
}
