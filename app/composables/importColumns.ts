/** Columns that were matched by hand, as an import is told them: `phrase:0,volume:2`. */
export const columnsMatched = (map: Partial<Record<string, number>>) =>
  Object.entries(map)
    .map(([column, index]) => `${column}:${index}`)
    .join(',')

/** From which headers an import read what: `views from “Aufrufe”, day from “Datum”`. */
export const columnsRead = <Column extends string>(columns: Record<string, string>, names: Record<Column, string>) =>
  Object.entries(columns)
    .map(([column, header]) => `${names[column as Column].toLowerCase()} from “${header}”`)
    .join(', ')
