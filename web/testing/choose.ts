import { fireEvent, screen } from '@testing-library/react'
import { until } from './onThePage.tsx'

/**
 * Chooses from a list by its label. A list that was open before gives the focus back a moment after it has gone, and a list
 * that is open by then closes at that: it is opened anew, as a hand would.
 */
export async function choose(label: string | RegExp, option: string | RegExp): Promise<void> {
  const chosen = await until(() => {
    const found = screen.queryByRole('option', { name: option })
    if (!found && !screen.queryByRole('listbox')) {
      const [list] = screen.queryAllByRole('button', { name: label })
      if (list) fireEvent.click(list)
    }
    return found
  })
  fireEvent.click(chosen)
}
