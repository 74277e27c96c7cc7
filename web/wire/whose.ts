/** The data that are served here: what is written says so, and waits where others are served by now. */
let dataId: string | null = null

/** The id of the data that are served here; null until the first answer says. */
export const whose = (): string | null => dataId

/** Notes whose data are served here. */
export const noteWhose = (id: string): void => {
  dataId = id
}
