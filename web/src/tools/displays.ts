/** What the display of a radio shows of a name. */
export interface Display {
  model: string;
  length: number;
  letters: Letters;
}

export type Letters = 'ascii' | 'capitals-and-marks' | 'capitals';

/** From what shows most to what shows least. */
const NARROWING: Letters[] = ['ascii', 'capitals-and-marks', 'capitals'];

/** The display that a model's file tells of; nothing where it shows no names or is silent about them. */
export function displayOf(body: Record<string, unknown>): Display | undefined {
  const { model, nameLength, nameLetters } = body;
  if (typeof nameLength !== 'number' || nameLength < 1) return undefined;
  const letters = NARROWING.find((each) => each === nameLetters) ?? 'ascii';
  return { model: typeof model === 'string' ? model : '', length: nameLength, letters };
}

/** What fits all of some displays: the fewest characters, of the fewest kinds; told after the one that is shortest. */
export function narrowest(displays: readonly Display[]): Display | undefined {
  const shortest = [...displays].sort((a, b) => a.length - b.length)[0];
  return (
    shortest && {
      ...shortest,
      letters: NARROWING.findLast((each) => displays.some((of) => of.letters === each))!,
    }
  );
}
