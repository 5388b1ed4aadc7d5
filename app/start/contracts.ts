/** Brings the schemas' library. */
export { sessionSchema } from '~~/shared/account'
