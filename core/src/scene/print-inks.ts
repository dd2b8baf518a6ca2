import type { Inks } from './scene-node.js';

/** Black on white, as it comes out of most printers: parts are told apart by shape, not by tone. */
export const PRINT_INKS: Inks = {
  ink: '#000000',
  soft: '#333333',
  faint: '#999999',
  face: '#ffffff',
  paper: '#ffffff',
  hour: '#000000',
  minute: '#000000',
  red: '#000000',
  blue: '#000000',
  accent: '#000000',
  zone: '#dddddd',
};

/** For printers with colours: hands and marks in those of the light theme, on white. */
export const COLOUR_PRINT_INKS: Inks = {
  ...PRINT_INKS,
  hour: '#7b2455',
  minute: '#0a5558',
  red: '#9b1c1c',
  blue: '#1a4480',
  accent: '#b36b00',
  zone: '#efd9a4',
};
