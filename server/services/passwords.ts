/** Password hashes: scrypt in PHC form, by a maintained library. */
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'

const scrypt = new Scrypt({})

export const hashPassword = (password: string): Promise<string> => scrypt.make(password)
export const verifyPassword = (hash: string, password: string): Promise<boolean> => scrypt.verify(hash, password)
