/** A file of a font, as the address that the build gives it. */
declare module '*.woff' {
  const address: string;
  export default address;
}
