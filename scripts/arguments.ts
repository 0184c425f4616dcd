/** A number given on the command line behind `--name`, or what is usual. */
export const argument = (name: string, usual: number): number => {
  const at = process.argv.indexOf(`--${name}`)
  return at < 0 ? usual : Number(process.argv[at + 1])
}
