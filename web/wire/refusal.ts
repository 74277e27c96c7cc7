import type { Delivery } from './outbox/sender.ts'

/** Why a write was refused, in words for the field that it came from; null where it was not. */
export const refusalOf = (delivery: Delivery): string | null =>
  delivery.kind === 'refused' ? (delivery.problem.fields[0]?.message ?? delivery.problem.detail) : null
