/** A file that is shipped beside the script, by its address. */
declare module '*?url' {
  const url: string
  export default url
}
