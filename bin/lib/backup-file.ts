/** What a backup's file looks like, for whoever writes it and whoever reads it. */

/** What it begins with, before it is compressed. */
export const BACKUP_MARK = '-- Critica backup 1\n'
/** What the dump in it ends with when it is whole. */
export const DUMP_END = '-- Dump completed'
/** The line after the mark: the moment that it holds. */
export const takenLine = (at: Date): string => `-- taken ${at.toISOString()}\n`
export const takenIn = (head: string): Date | null => {
  const [, at] = /^-- taken (\S+)$/m.exec(head) ?? []
  return at ? new Date(at) : null
}
export const secretsFile = (file: string): string => `${file}.secrets.json`
