/** A picture, as the text of its file: see `loader` in angular.json. */
declare module '*.svg' {
  const text: string;
  // eslint-disable-next-line no-restricted-syntax -- the bundler gives a file's text by this name alone
  export default text;
}
