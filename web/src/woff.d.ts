/** A file of a font, as the address that the build gives it. */
declare module '*.woff' {
  const address: string;
  // eslint-disable-next-line no-restricted-syntax -- the bundler gives a file's address by this name alone
  export default address;
}
