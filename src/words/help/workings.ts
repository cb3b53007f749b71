import type { StationId } from '@/core/stations';
import { said } from '../say';

/** How an answer is worked out, in words: what goes in, what is done with it, where it is weak. */
interface Working {
  title: string;
  steps: readonly string[];
  weak: string;
  source: string;
}

/** For each station, how its answer comes about. The figures are those of docs/models, which the tests hold the code to. */
export const WORKINGS: Readonly<Record<StationId, Working>> = said({
  picture: {
    title: 'Whether the picture carries the print',
    steps: [
      'The pixels of the crop are divided by the inches of the print, across and down; the lesser counts. 300 an ' +
        'inch is excellent, 200 good, 150 acceptable; a coarse weave or stone forgives a third less.',
      'Each pixel’s lightness is worked out as the eye sees it, from 0 to 100. Above 92 hardly any toner lies ' +
        'there; below 25 it lies so thick that a trace of paper shows as haze.',
      'Connected light parts that the edge does not cut off are taken for pale subjects: on a grainy ground they read as ghostly.',
    ],
    weak: 'What matters in a picture, a face or a date, is not recognised: you say it.',
    source: 'CIE 1976 lightness; viewing distances of prints held in the hand.',
  },
  surface: {
    title: 'What the surface does to the coat',
    steps: [
      'Each surface has a figure for how much it drinks and one for how fast it dries a coat, against a sealed ' +
        'face as 1. Paint, primer or a dried first coat make any surface a sealed one.',
      'The face is measured in square millimetres from its shape, with holes and gaps left out; sides and folds ' +
        'are added where the print goes round them.',
      'Preparation follows from surface, finish and base coat, each step with its hands (a set-up and minutes for ' +
        'each square decimetre) and its drying.',
    ],
    weak: 'Boards of one kind differ. A drop of water that sinks in at once says that yours drinks more.',
    source: 'Bench practice; labels of paints and primers.',
  },
  method: {
    title: 'How the ways are ranked',
    steps: [
      'Every gel, glue and medium is tried in every way on this surface and print. What cannot work is refused, with its reason.',
      'Each way that works begins with the same points. What speaks for or against it adds or takes points: toner ' +
        'kept, whites as wanted, hours of waiting, minutes of rubbing, practice, what is in your stash.',
      'The first shown has most points. The two beside it trade points for something the first lacks: sooner, less ' +
        'rubbing, cheaper, washable.',
    ],
    weak: 'Points are a judgement put into figures. All of them are shown, and any way can be chosen.',
    source: 'The ways as their makers and many crafters describe them, set against each other.',
  },
  sheet: {
    title: 'How the print comes out at its size',
    steps: [
      'The print is the object less its margins, bent, parted or wrapped as the object is. It is drawn at 300 dots ' +
        'an inch, mirrored where it is laid face down.',
      'A print too long for a page is cut into tiles: the fewest pages whose overlaps still leave room, all of the same length.',
      'Printers stretch. The bars of a calibration page are measured once, and later sheets are drawn against ' +
        'that, along and across the feed.',
    ],
    weak: 'A printer that slips or skews is not corrected. The bar on every sheet tells.',
    source: 'ISO 216 and letter paper; Lanczos resampling, checked against the formula.',
  },
  lay: {
    title: 'How much to pour, and for how long it stays open',
    steps: [
      'Area × wet film × what drinks it, plus 12 % that stays in brush and pot, for each coated face. Paper drinks ' +
        '1.1, whatever it is laid on.',
      'The wet film is the middle of what its kind takes, until you type the label’s.',
      'Open time is the label’s minutes divided by the root of how fast this room dries, never under 2 or over 12 minutes.',
    ],
    weak: 'Hands differ by a third in how thick they spread. Type what you really used, and it is kept beside the plan.',
    source: 'Labels of media; bench practice.',
  },
  cure: {
    title: 'When it may be rubbed',
    steps: [
      'Air dries a coat by how much more water it could hold: the vapour-pressure deficit, from temperature and ' +
        'humidity. At 21 °C and 50 % it is 1.24 kPa, and the label’s hours count as they are.',
      'Hours = label’s hours × 1.24 ÷ this room’s deficit × (film ÷ usual film) to the power of 1.5 × surface × ' +
        'air × cover, held between 0.4 and 4 times the label’s.',
      'Where the room is followed through the day, drying is added up hour by hour. Signs seen on the piece move the estimate.',
      'Transfer media and a varnish bed never come under 24 h, however warm it is.',
    ],
    weak: 'It can be wrong by half. The sign on the piece, and the label, go first.',
    source: 'Magnus’ formula with Tetens’ figures (Murray 1967); labels of media.',
  },
  rub: {
    title: 'Passes, minutes and where haze will stay',
    steps: [
      'The usual number of passes at 80 g/m² paper, one more for every 15 g/m² above. The first takes 12 ' +
        'min for a letter-size print, each later one half of that.',
      'Dark parts keep haze longest; light, even parts hide paper, so they are felt for. Sections of half a letter ' +
        'page run from the lightest corner.',
      'A photo of the dried piece is laid over the picture and each spot is fitted with paper over it or toner ' +
        'gone from it. With a wet photo the two are told apart on any ground.',
    ],
    weak: 'On a ground as white as paper one dry photo cannot tell haze from loss: it says so and asks for the wet one.',
    source: 'Bench practice; the layer model of Kubelka and Munk.',
  },
  mend: {
    title: 'What to paint in, and with which mix',
    steps: [
      'Spots with less than 0.6 of their toner are holes. Their colour is the picture’s there, over what lies under it.',
      'Mixes are worked out by how paints absorb and scatter light, not by averaging colours: blue and yellow give green.',
      'Past 12 % lost, 3 % of lettering, or one hole of 20 cm², tracing, covering or printing again are set beside it with their hours.',
    ],
    weak: 'Makers’ paints differ from their names: try a mix on paper first.',
    source: 'Kubelka and Munk 1931, by an open library.',
  },
  seal: {
    title: 'Which sealer, and when',
    steps: [
      'A sealer suits when the use is named for it, the sheen exists, it wears well enough and does not hide the ' +
        'picture. Among those the hardest that does not yellow goes first.',
      'Millilitres = area × wet film × 1.12 for each coat. Hours between coats follow the room, never under the ' +
        'label’s; days of curing are the label’s.',
      'The earliest coat waits until the rubbed piece itself is dry: an hour on sealed faces, two on bare wood, ' +
        'ten where a porous ground was soaked.',
    ],
    weak: 'The label overrules all of it.',
    source: 'Labels of varnishes and waxes; bench practice.',
  },
  keep: {
    title: 'What it cost, and what is learned',
    steps: [
      'Each material by its share of the bottle at the bottle’s price. What has no price is named and not guessed.',
      'Minutes you took against minutes planned become your pace, with half an hour of usual pace mixed in, and the next plan uses it.',
    ],
    weak: 'A single piece says little: the pace settles over several.',
    source: 'Your own record.',
  },
});
