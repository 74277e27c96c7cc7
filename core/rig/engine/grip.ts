/** Speeds that a table holds, mm/s: below the least a force is taken as growing with the speed. */
const LEAST = 0.01
const MOST = 20_000
const ENTRIES = 480
const LOG_LEAST = Math.log(LEAST)
const PER_ENTRY = (Math.log(MOST) - LOG_LEAST) / (ENTRIES - 1)

/**
 * How a flow holds a thing, over its speed, in a table: it is asked some hundred thousand times in a run. The logarithm
 * of the force is taken as straight between entries a thirtieth apart, which is true within a ten-thousandth.
 */
export class Grip {
  readonly #logs = new Float64Array(ENTRIES)
  /** force over speed, mg·s/mm, at the speed that was asked for last */
  perSpeed = 0
  /** by how much the force grows with the speed there, mg·s/mm */
  slope = 0

  /** @param forceMg at a speed above 0, mm/s */
  constructor(forceMg: (speedMmPerS: number) => number) {
    for (let i = 0; i < ENTRIES; i += 1)
      this.#logs[i] = Math.log(Math.max(forceMg(Math.exp(LOG_LEAST + i * PER_ENTRY)), Number.MIN_VALUE))
  }

  /** Sets {@link perSpeed} and {@link slope} for a speed. */
  ask(speedMmPerS: number): void {
    if (speedMmPerS <= LEAST) {
      this.perSpeed = Math.exp(this.#logs[0]!) / LEAST
      this.slope = this.perSpeed
      return
    }
    const place = Math.min((Math.log(speedMmPerS) - LOG_LEAST) / PER_ENTRY, ENTRIES - 1.001)
    const entry = Math.floor(place)
    const [low, high] = [this.#logs[entry]!, this.#logs[entry + 1]!]
    this.perSpeed = Math.exp(low + (place - entry) * (high - low)) / speedMmPerS
    this.slope = (this.perSpeed * (high - low)) / PER_ENTRY
  }
}
