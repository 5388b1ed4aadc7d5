/** What can go wrong, told apart by code; the sentence is for the person who did it. */
export const ERROR_STATUS = {
  'not-signed-in': 401,
  'wrong-sign-in': 401,
  'code-wanted': 401,
  'not-allowed': 403,
  'not-found': 404,
  'wrong-method': 405,
  stale: 409,
  'already-released': 409,
  'not-released': 409,
  archived: 409,
  'too-large': 413,
  'not-a-picture': 415,
  'wrong-type': 415,
  invalid: 422,
  'too-many-tries': 429,
  unexpected: 500,
  unavailable: 503
} as const
export type ErrorCode = keyof typeof ERROR_STATUS

export interface ErrorBody {
  readonly error: { readonly code: ErrorCode; readonly message: string }
}

export class AppError extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string
  ) {
    super(message)
    this.name = 'AppError'
  }
}
