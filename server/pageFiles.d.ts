/** Written by `modules/pageFiles.ts` when the interface is built. */
declare module '#page-files' {
  export const pageFiles: import('../modules/pageFiles').PageFiles
}
