import { eq } from 'drizzle-orm'
import type { CommandBody } from '../../contract/index.ts'
import { purchaseLine } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { Handler } from './context.ts'
import { bookMaterials } from './ledger.ts'

/** Writes down what was ordered. */
export const purchaseOrder: Handler<CommandBody<'purchaseOrder'>> = async ({ recorder, nowMs }, body) => {
  const { purchaseId, supplier, lines } = body
  await recorder.insert('purchase', { id: purchaseId, status: 'ordered', orderedAtMs: nowMs, supplier })
  for (const { lineId, ...line } of lines) {
    await recorder.need('material', line.materialId, 'material')
    await recorder.insert('purchaseLine', { ...line, id: lineId, purchaseId })
  }
  return { label: { code: 'purchaseOrdered', subject: supplier, count: lines.length } }
}

/** Books packs that came into the stores; closes the purchase when the last has come. */
export const purchaseArrive: Handler<CommandBody<'purchaseArrive'>> = async (context, body) => {
  const { tx, recorder } = context
  const row = await recorder.need('purchase', body.purchaseId, 'purchase')
  if (row.status === 'closed') throw new ProblemError('invalidInput', 'That purchase is closed already.')
  let came = 0
  for (const [i, { lineId, packs }] of body.arrived.entries()) {
    const line = await recorder.need('purchaseLine', lineId, 'line')
    const waiting = line.packs - line.arrivedPacks
    if (line.purchaseId !== row.id || packs > waiting) {
      const message = `Only ${Math.max(waiting, 0)} are waited for.`
      throw new ProblemError('invalidInput', message, [{ path: `arrived.${i}.packs`, message }])
    }
    came += packs
    await recorder.update('purchaseLine', lineId, null, { arrivedPacks: line.arrivedPacks + packs })
    await bookMaterials(context, [
      { materialId: line.materialId, delta: packs * line.packAmount, cause: 'bought' },
    ])
  }
  const lines = await tx.select().from(purchaseLine).where(eq(purchaseLine.purchaseId, row.id))
  if (lines.every((line) => line.arrivedPacks >= line.packs))
    await recorder.update('purchase', row.id, null, { status: 'closed' })
  return { label: { code: 'purchaseArrived', subject: row.supplier, count: came } }
}

/** Waits no longer for what has not come. */
export const purchaseClose: Handler<CommandBody<'purchaseClose'>> = async ({ recorder }, body) => {
  const row = await recorder.need('purchase', body.purchaseId, 'purchase')
  await recorder.update('purchase', row.id, body.version, { status: 'closed' })
  return { label: { code: 'purchaseClosed', subject: row.supplier } }
}
