import type { CommandResult, Problem } from '../../../contract/index.ts'
import { PATHS } from '../../../contract/paths.ts'
import { api, TABLES } from '../api.ts'
import type { Sent } from '../api.ts'
import { watchLongWrite } from '../longWrites.ts'
import { setOutbox } from '../state.ts'
import type { OwnCount } from '../state.ts'
import { store } from '../store.ts'
import { noteWhose, whose } from '../whose.ts'
import { attemptOf, FAULTS_BEFORE_ASKING, pauseAfter } from './answers.ts'
import type { Attempt } from './answers.ts'
import { afterDelivery, countsHere } from './counts.ts'
import { hasRoom, keep, letGo, noteRefused, readQueue } from './kept.ts'
import type { Waiting } from './kept.ts'
import { behind, nextToSend } from './order.ts'

const NO_ANSWER = 'The server does not answer.'
const BROKE_OVER_IT = 'The server broke over it again and again.'

/** What became of a write: done, refused with a problem, or kept until the server answers again. */
export type Delivery =
  | { readonly kind: 'done'; readonly result: CommandResult }
  | { readonly kind: 'refused'; readonly problem: Problem }
  | { readonly kind: 'waiting' }

/** Whoever wrote in this tab and has not heard yet. */
const callers = new Map<string, (delivery: Delivery) => void>()
let retry: ReturnType<typeof setTimeout> | undefined
/** whether this page's writes could be stored beyond it */
let stored = true
/** the write over which the server breaks while it answers otherwise */
let stuck: string | null = null
/** what was counted and has arrived: until a view names it, it counts from here */
let delivered: readonly OwnCount[] = []

const queue = (): readonly Waiting[] => {
  const data = whose()
  return data === null ? [] : readQueue(data)
}

/** Writes that wait in this browser for the data that are served here, in their order. */
export const waitingWrites = (): readonly Waiting[] => queue().filter(({ refused }) => !refused)

/** Tells whoever wrote it what became of it; answers whether someone in this tab was waiting to hear. */
function tell(id: string, delivery: Delivery): boolean {
  const caller = callers.get(id)
  callers.delete(id)
  caller?.(delivery)
  return caller !== undefined
}

/** Shows what waits; `trouble` is why it does, and stays as it was where nothing is said of it. */
export function reflect(trouble?: string | null): void {
  const all = queue()
  const waiting = all.filter(({ refused }) => !refused)
  store.dispatch(
    setOutbox({
      waiting: waiting.length,
      refused: all.filter(({ refused }) => refused).length,
      stuck: all.some(({ id, refused }) => id === stuck && !refused),
      full: !stored,
      counts: countsHere(delivered, waiting),
      ...(trouble === undefined ? {} : { trouble }),
    }),
  )
}

/** Tabs tell each other what became of a write, so that who wrote it hears, and all see it. */
interface Became {
  readonly id: string
  readonly delivery: Delivery
  /** the write, where it is a count or takes one back: its view is still on its way */
  readonly counted: Sent | null
}
/** What a tab tells the others: what became of a write, or that a copy of the data was put back. */
type News = Became | 'putBack'
const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('heavy-thistle:outbox')
if (tabs)
  tabs.onmessage = ({ data: news }: MessageEvent<News>) => {
    if (news === 'putBack') {
      showAnew()
      return
    }
    const { id, delivery, counted } = news
    const [kept, data] = [entry(id), whose()]
    // a refusal that its caller shows need not be kept
    if (tell(id, delivery) && delivery.kind === 'refused' && kept && data) letGo(data, kept)
    if (counted) delivered = afterDelivery(delivered, counted)
    reflect()
    if (delivery.kind === 'done') store.dispatch(api.util.invalidateTags(['all', 'shipped']))
  }

/** Forgets what was delivered, which what was put back need not hold, and asks everything anew. */
function showAnew(): void {
  delivered = []
  reflect()
  store.dispatch(api.util.invalidateTags(['all', 'shipped']))
}

/** Shows the data anew in all tabs, since a copy of them was put back. */
export function dataPutBack(): void {
  showAnew()
  tabs?.postMessage('putBack' satisfies News)
}

async function send({ id, kind, body }: Sent): Promise<Attempt> {
  const seen = TABLES.has(kind) ? watchLongWrite(id) : undefined
  const answered = await store.dispatch(api.endpoints.command.initiate({ id, kind, body } as Sent))
  seen?.()
  return answered.data ? { kind: 'done', result: answered.data } : attemptOf(answered.error)
}

/** One after the other within this tab, where the browser has no locks between tabs. */
let alone: Promise<unknown> = Promise.resolve()

/** Only one of all tabs sends, in the order of the queue. */
export function whileAlone<T>(work: () => Promise<T>): Promise<T> {
  const locks = (globalThis.navigator as Navigator | undefined)?.locks as LockManager | undefined
  if (locks) return locks.request(`heavy-thistle:outbox:${whose()}`, work) as Promise<T>
  const next = alone.then(work)
  alone = next.catch(() => undefined)
  return next
}

/** Whether the server answers although it breaks over a write. */
const isAlive = (): Promise<boolean> =>
  fetch(PATHS.alive).then(
    ({ ok }) => ok,
    () => false,
  )

/** Writes by which flies are counted at the vise, or counted back. */
const COUNTING: ReadonlySet<Sent['kind']> = new Set<Sent['kind']>(['batchCount', 'undo'])

/** Sends one write; answers whether the next may follow. */
async function sendNext(data: string, waiting: Waiting): Promise<boolean> {
  const attempt = await send(waiting)
  if (attempt.kind === 'wait') {
    const tried = { ...waiting, tries: waiting.tries + 1, faults: waiting.faults + (attempt.fault ? 1 : 0) }
    stored = keep(data, tried) && stored
    if (tried.faults >= FAULTS_BEFORE_ASKING && (await isAlive())) stuck = waiting.id
    for (const { id } of queue()) tell(id, { kind: 'waiting' })
    reflect(attempt.detail ?? NO_ANSWER)
    clearTimeout(retry)
    retry = setTimeout(() => void flush(), pauseAfter(tried.tries))
    return false
  }
  const counted = attempt.kind === 'done' && COUNTING.has(waiting.kind) ? waiting : null
  if (counted) delivered = afterDelivery(delivered, counted)
  letGo(data, waiting)
  if (attempt.kind === 'refused') {
    noteRefused(waiting.id)
    // a change of settings is shown before it is taken
    if (waiting.kind === 'settingsSave') store.dispatch(api.util.invalidateTags(['all']))
  }
  // it waited, or was written elsewhere: the reason of a refusal is kept until someone has seen it
  if (!tell(waiting.id, attempt) && attempt.kind === 'refused')
    keep(data, { ...waiting, refused: { detail: attempt.problem.detail } })
  tabs?.postMessage({ id: waiting.id, delivery: attempt, counted } satisfies News)
  reflect(null)
  return true
}

let running: Promise<void> | null = null
let wanted = false

/** Sends what waits, in its order; stops at the first that cannot be delivered and tries again after a while. */
export function flush(): Promise<void> {
  wanted = true
  running ??= sendAll().finally(() => {
    running = null
    reflect()
    // something was written when this had just ended
    if (wanted) void flush()
  })
  return running
}

async function sendAll(): Promise<void> {
  const data = whose()
  if (data === null) {
    wanted = false
    return
  }
  await whileAlone(async () => {
    while (wanted) {
      wanted = false
      for (let next = nextToSend(queue()); next; next = nextToSend(queue()))
        if (!(await sendNext(data, next))) {
          wanted = false
          return
        }
    }
  })
}

/** Learns whose data are served here; answers whether it could. */
async function askWhose(): Promise<boolean> {
  const answer = await fetch(PATHS.alive).then(
    (response) => response.json() as Promise<{ readonly dataId?: string }>,
    () => null,
  )
  if (answer?.dataId) serveData(answer.dataId)
  return whose() !== null
}

const UNKNOWN: Delivery = {
  kind: 'refused',
  problem: { type: '', title: '', status: 503, code: 'busy', detail: NO_ANSWER, fields: [] },
}

/** Puts a write behind those that wait and sends; answers when it was settled, or kept for later. */
export async function post(sent: Sent): Promise<Delivery> {
  if (whose() === null && !(await askWhose())) return UNKNOWN
  const data = whose()
  if (data === null) return UNKNOWN
  const all = queue()
  const seq = (all.at(-1)?.seq ?? 0) + 1
  stored = keep(data, { ...behind(sent, all), seq, tries: 0, faults: 0 }) && stored
  reflect()
  return new Promise((resolve) => {
    callers.set(sent.id, resolve)
    void flush()
  })
}

/** Says whose data are served here: what waits for them is sent from now on. */
export function serveData(id: string): void {
  if (id === whose()) return
  noteWhose(id)
  stored = hasRoom()
  reflect(null)
  void flush()
}

/** Lets a write go that was never tried; answers whether there was one. Nothing is sent meanwhile. */
export const dropUntried = (id: string): Promise<boolean> =>
  whileAlone(async () => {
    const [waiting, data] = [entry(id), whose()]
    if (!waiting || data === null || waiting.tries > 0 || waiting.refused) return false
    letGo(data, waiting)
    tell(id, { kind: 'waiting' })
    reflect()
    return Promise.resolve(true)
  })

const entry = (id: string) => queue().find((waiting) => waiting.id === id)

function change(id: string, how: (data: string, waiting: Waiting) => void): void {
  const [waiting, data] = [entry(id), whose()]
  if (!waiting || data === null) return
  how(data, waiting)
  reflect()
  void flush()
}

/** Tries a refused write once more. */
export const tryAgain = (id: string): void =>
  change(id, (data, { refused: _refused, ...again }) => keep(data, { ...again, faults: 0 }))

/** Gives a write up for good; what waited with it is sent. */
export const giveUp = (id: string): void => change(id, letGo)

/** Puts the write aside over which the server breaks, so that the others go on. */
export function setAside(): void {
  if (stuck === null) return
  change(stuck, (data, waiting) => keep(data, { ...waiting, refused: { detail: BROKE_OVER_IT } }))
  stuck = null
}

/** Writes that were refused after they had waited, with the reason of each. */
export const refusedWrites = (): readonly Waiting[] => queue().filter(({ refused }) => refused)

if (typeof window !== 'undefined') {
  window.addEventListener('online', () => void flush())
  // another tab wrote or sent
  window.addEventListener('storage', ({ key }) => {
    if (key?.startsWith('heavy-thistle:outbox')) reflect()
  })
}
