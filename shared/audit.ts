/** The audit trail: what matters, by whom, when. */
import { z } from 'zod'

export const AUDIT_WORDS = {
  'signed-in': 'signed in',
  refused: 'refused a sign-in as',
  'password-changed': 'changed the password',
  'password-set': 'set a password by a link',
  'address-changed': 'changed the address',
  'second-factor-on': 'turned the second step on',
  'second-factor-off': 'turned the second step off',
  'house-begun': 'began the house',
  'house-changed': 'changed the standing orders',
  'demo-loaded': 'loaded the demo class',
  'demo-removed': 'took the demo class away',
  invited: 'invited',
  'link-handed': 'was handed a link for',
  'house-role': 'changed what somebody is in the house',
  'class-made': 'made a class',
  'class-changed': 'changed a class',
  'class-archived': 'archived a class',
  'class-back': 'brought a class back',
  'code-on': 'made a join code',
  'code-off': 'turned the join code off',
  joined: 'joined by the code',
  'class-role': 'changed what somebody is in a class',
  'left-class': 'took out of a class',
  released: 'released a critique',
  withdrawn: 'took a critique back',
  exported: 'exported',
  'record-taken': 'took a whole record away',
  'signed-out': 'signed out everywhere',
  'erasure-asked': 'asked for an erasure',
  'erasure-undone': 'undid an erasure',
  erased: 'erased'
} as const
export type AuditAction = keyof typeof AUDIT_WORDS

/** @property account whom it was done to; empty when nobody. */
export const auditEntrySchema = z.object({
  id: z.int(),
  at: z.iso.datetime(),
  action: z.enum(Object.keys(AUDIT_WORDS) as [AuditAction, ...AuditAction[]]),
  actor: z.string(),
  account: z.string(),
  className: z.string(),
  submissionId: z.int().nullable(),
  detail: z.string()
})
export type AuditEntry = z.infer<typeof auditEntrySchema>
export const auditPageSchema = z.object({ items: z.array(auditEntrySchema), next: z.int().nullable() })
export type AuditPage = z.infer<typeof auditPageSchema>
export const auditQuerySchema = z.object({ after: z.coerce.number().int().positive().optional() })
