export { provenDateOrder, readTable } from './readTable.ts'
export type { DateOrder, NamedColumn, TableFault, TableReading, TableResult, TableRow } from './readTable.ts'
