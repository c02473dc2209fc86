import { type Piece } from '../../src/world';

// What the makers promise and how far each is read, from the tables of the apparatus; steps as a class of metrology reads.
export const piece = (
  shows: Piece['shows'],
  step: number,
  halfWidth: number,
  tolerance: number,
  rest = {},
): Piece => ({
  shows,
  step,
  halfWidth,
  tolerance,
  ...rest,
});
export const tenths = piece('digits', 0.1, 0.05, 0.1);
export const hundredths = piece('digits', 0.01, 0.005, 0.01);
export const threeBeam = piece('marks', 0.1, 0.05, 0.1);
export const cylinder50 = piece('marks', 0.1, 0.5, 0.5);
export const cylinder100 = piece('marks', 0.1, 0.5, 0.5);
export const cylinder10 = piece('marks', 0.01, 0.05, 0.1);
export const burette = piece('marks', 0.01, 0.05, 0.05);
export const caliper = piece('lines', 0.05, 0.05, 0.05);
export const caliper50 = piece('lines', 0.02, 0.02, 0.05);
export const ruler = piece('marks', 0.1, 0.5, 0.5);
export const thermometer = piece('marks', 0.1, 0.25, 0.5);
export const byMinutes = piece('clock', 1, 0.5, 0);
export const bySeconds = piece('clock', 1 / 60, 0.5 / 60, 0);
