/** Own paints, and the list that a class works with. */
import { DEFAULT_STANDARDS } from '../../../core/critique/standards'
import type { Account } from '../../../shared/account'
import type { ClassListed } from '../../../shared/class'
import { AppError } from '../../../shared/errors'
import { MOST_PAINTS, type PaintInput, type SetList, type Workshop } from '../../../shared/workshop'
import { findClass, listClassesOf } from '../../db/classes/classes'
import { changeOnce } from '../../db/once'
import { db, transaction } from '../../db/pool'
import { deletePaint, deletePaints, insertPaints, listPaints, updatePaint } from '../../db/workshop/paints'
import { listSwatches } from '../../db/workshop/swatches'
import { inClass } from '../access'

export async function readWorkshop(account: Account): Promise<Workshop> {
  const classes = (await listClassesOf(db(), account.id)).filter(c => !c.archived)
  const [paints, swatches, lists] = await Promise.all([
    listPaints(db(), { accountId: account.id }),
    listSwatches(db(), account.id),
    listsOf(classes)
  ])
  const first = classes[0] && (await findClass(db(), classes[0].id))
  return { wheel: first?.wheel ?? DEFAULT_STANDARDS.wheel, paints, swatches, lists }
}

/** The lists of their classes; of those they lead also the empty ones, to be filled. */
async function listsOf(classes: readonly ClassListed[]): Promise<SetList[]> {
  const lists = await Promise.all(
    classes.map(async ({ id, name, role }) => ({
      classId: id,
      className: name,
      mayChange: role === 'instructor',
      paints: await listPaints(db(), { classId: id })
    }))
  )
  return lists.filter(l => l.mayChange || l.paints.length > 0)
}

/** @throws AppError invalid where a box would be larger than any is. */
export async function addPaints(account: Account, paints: readonly PaintInput[]): Promise<void> {
  await changeOnce(async connection => {
    const there = await listPaints(connection, { accountId: account.id }, true)
    if (there.length + paints.length > MOST_PAINTS)
      throw new AppError(
        'invalid',
        `A box holds ${MOST_PAINTS} paints at most: ${there.length} are in it, ${paints.length} would be added.`
      )
    await insertPaints(connection, { accountId: account.id }, paints)
  })
}

const gone = (): AppError => new AppError('not-found', 'There is no such paint in your box.')

export async function changePaint(account: Account, id: number, paint: PaintInput): Promise<void> {
  if (!(await updatePaint(db(), { id, accountId: account.id }, paint))) throw gone()
}

export async function dropPaint(account: Account, id: number): Promise<void> {
  if (!(await deletePaint(db(), { id, accountId: account.id }))) throw gone()
}

/** In place of what was on the list; none takes it away. */
export async function setClassPaints(account: Account, classId: number, paints: readonly PaintInput[]): Promise<void> {
  await inClass(account, classId, 'release')
  await transaction(async connection => {
    await deletePaints(connection, { classId })
    await insertPaints(connection, { classId }, paints)
  })
}
