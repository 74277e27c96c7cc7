import { expose } from 'comlink'
import type { Endpoint } from 'comlink'
import { workerApi } from '../workers/workerApi.ts'

/** A worker of the platform, within this process: the gateway talks to the real worker over real message ports. */
export class WorkerHere {
  static running: WorkerHere[] = []
  readonly #near: MessagePort
  readonly #far: MessagePort
  // a port takes no events of another realm, as those of a page in a test are
  readonly #told: EventListener[] = []
  constructor() {
    const { port1, port2 } = new MessageChannel()
    ;[this.#near, this.#far] = [port1, port2]
    expose(workerApi, this.#far as unknown as Endpoint)
    this.#near.start()
    WorkerHere.running.push(this)
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.#near.postMessage(message, transfer)
  }
  addEventListener(kind: string, listener: EventListener): void {
    if (kind === 'error') this.#told.push(listener)
    else this.#near.addEventListener(kind, listener)
  }
  removeEventListener(kind: string, listener: EventListener): void {
    this.#near.removeEventListener(kind, listener)
  }
  start(): void {
    this.#near.start()
  }
  /** breaks it, as a platform tells of a worker that does not load */
  break(): void {
    const event = Object.assign(new Event('error', { cancelable: true }), { message: '' })
    for (const tell of this.#told) tell(event)
  }
  terminate(): void {
    this.#near.close()
    this.#far.close()
    WorkerHere.running = WorkerHere.running.filter((one) => one !== this)
  }
}

/** A worker that does not load. */
class Unloadable extends WorkerHere {
  constructor() {
    super()
    setTimeout(() => this.break(), 20)
  }
  /** what never loaded answers nothing, however quickly it would have */
  override postMessage(): void {
    return undefined
  }
}

/** From now on no worker loads, and those that run have broken. */
export function breakWorkers(): void {
  WorkerHere.running.forEach((worker) => worker.break())
  Object.assign(globalThis, { Worker: Unloadable })
}
