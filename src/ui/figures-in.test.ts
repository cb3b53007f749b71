import { figuresIn } from './figures-in';

const figures = (text: string) =>
  figuresIn(text)
    .filter(({ isFigure }) => isFigure)
    .map((part) => part.text);

it.each([
  ['Pour 34 ml and lay within 6 min.', ['34 ml', '6 min']],
  ['a print of 10 1/4 × 6 11/16 in: good', ['10 1/4 × 6 11/16 in']],
  ['Look at this first: 70 % is 2 pale subjects', ['70 %']],
  ['Rub at 66 °F and 55 %', ['66 °F', '55 %']],
  ['12 h 30 min after', ['12 h', '30 min']],
  ['tomorrow 11:13 AM', ['11:13 AM']],
  ['× 1.25 on bare wood', ['× 1.25']],
  ['± 0.5 mm is how well', ['± 0.5 mm']],
  ['It takes 3 minds and 2 inches', []],
  ['80 g/m² paper', ['80 g/m²']],
  ['4 sq in of 9 sq ft', ['4 sq in', '9 sq ft']],
  ['2880 × 1880 pixels', ['2880 × 1880']],
  ['3/8 in past it', ['3/8 in']],
  ['at 11:13 today', []],
  ['', []],
])('%s', (text, expected) => expect(figures(text)).toEqual(expected));

it('gives the sentence back when put together', () => {
  const text = 'Coat 2 of 3: 0.37 fl oz each, 2 h 30 min apart, at 21 °C; 25.2 × 19.2 cm. − 4, + 13 points';
  expect(
    figuresIn(text)
      .map((part) => part.text)
      .join(''),
  ).toBe(text);
});
