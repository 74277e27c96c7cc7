/** A question that was sent, with what lets go of its answer. */
interface Sent<Answer> extends PromiseLike<Answer> {
  readonly unsubscribe: () => void
}

/**
 * Waits for an answer and lets go of it. A question that nobody holds on to loses its answer where a write makes all
 * views stale while it is on its way.
 *
 * @example await askOnce(dispatch(api.endpoints.pattern.initiate(id, { forceRefetch: true })))
 */
export async function askOnce<Answer>(sent: Sent<Answer>): Promise<Answer> {
  try {
    return await sent
  } finally {
    sent.unsubscribe()
  }
}
