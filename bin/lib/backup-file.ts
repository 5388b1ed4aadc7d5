/** What a backup's file looks like, for whoever writes it and whoever reads it. */

/** What it begins with, before it is compressed. */
export const BACKUP_MARK = '-- Critica backup 1\n'
/** What the dump in it ends with when it is whole. */
export const DUMP_END = '-- Dump completed'
export const secretsFile = (file: string): string => `${file}.secrets.json`
