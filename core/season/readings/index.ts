export { provenDateOrder, readTable } from './readTable.ts'
export type { DateOrder, TableFault, TableReading, TableResult, TableRow } from './readTable.ts'
