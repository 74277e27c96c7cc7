// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import { doInTurn } from './inTurn.ts'

const frames = (n: number): Promise<void> =>
  n === 0
    ? Promise.resolve()
    : new Promise((resolve) => requestAnimationFrame(() => void frames(n - 1).then(resolve)))
const busy = (ms: number) => {
  const until = performance.now() + ms
  while (performance.now() < until);
}
const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

describe('things that are done in turn', () => {
  it('come in a later frame, what is to be seen before all else, in order', async () => {
    const done: string[] = []
    doInTurn(() => done.push('hand 1'), 'later')
    doInTurn(() => done.push('seen 1'), 'soon')
    doInTurn(() => done.push('hand 2'), 'later')
    doInTurn(() => done.push('seen 2'), 'soon')
    expect(done).toEqual([])
    await frames(2)
    expect(done.slice(0, 2)).toEqual(['seen 1', 'seen 2'])
    await later(700)
    expect(done).toEqual(['seen 1', 'seen 2', 'hand 1', 'hand 2'])
  })

  it('leave what is seen alone with the machine for a moment', async () => {
    const done: string[] = []
    doInTurn(() => done.push('seen'), 'soon')
    await frames(2)
    doInTurn(() => done.push('hand'), 'later')
    await frames(3)
    expect(done).toEqual(['seen'])
    await later(700)
    expect(done).toEqual(['seen', 'hand'])
  })

  it('leave whoever scrolls alone, but for what is to be seen', async () => {
    const sheet = document.body.appendChild(document.createElement('main'))
    const done: string[] = []
    await later(400)
    doInTurn(() => done.push('hand'), 'later')
    sheet.dispatchEvent(new Event('scroll'))
    await frames(3)
    doInTurn(() => done.push('seen'), 'soon')
    await frames(2)
    expect(done).toEqual(['seen'])
    for (let n = 0; n < 5; n += 1) {
      sheet.dispatchEvent(new Event('scroll'))
      await later(100)
    }
    expect(done).toEqual(['seen'])
    await later(700)
    expect(done).toEqual(['seen', 'hand'])
  })

  it('are no more in one frame than it has time for', async () => {
    const done: number[] = []
    for (let n = 0; n < 3; n += 1)
      doInTurn(() => {
        busy(8)
        done.push(n)
      }, 'soon')
    await frames(1)
    const afterOne = done.length
    await frames(4)
    expect(afterOne).toBe(1)
    expect(done).toEqual([0, 1, 2])
  })

  it('are not done once they are left', async () => {
    const done: string[] = []
    const leave = doInTurn(() => done.push('left'), 'soon')
    doInTurn(() => done.push('stays'), 'soon')
    leave()
    await frames(2)
    expect(done).toEqual(['stays'])
  })
})
