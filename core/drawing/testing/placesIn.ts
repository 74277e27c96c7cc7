/** Each place that path data tells, in dots: a line is told from spot to spot, a bent one twice from where it begins. */
export function placesIn(path: string): readonly (readonly [number, number])[] {
  const places: (readonly [number, number])[] = []
  let [x, y] = [0, 0]
  for (const [, letter, told] of path.matchAll(/([Mlqz])([^Mlqz]*)/g)) {
    const figures = [...(told ?? '').matchAll(/-?(?:\d+\.?\d*|\.\d+)/g)].map(Number)
    for (let i = 0; i < figures.length; i += 2) {
      const [dx, dy] = [figures[i]!, figures[i + 1]!]
      const place = letter === 'M' ? ([dx, dy] as const) : ([x + dx, y + dy] as const)
      places.push(place)
      if (letter !== 'q' || i % 4 === 2) [x, y] = place
    }
  }
  return places
}
