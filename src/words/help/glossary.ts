import type { StationId } from '@/core/stations';
import { said } from '../say';

/** A word of the craft, in plain words, and the stations where it is met. */
interface GlossaryEntry {
  word: string;
  meaning: string;
  at: readonly StationId[];
}

/** The one source for words of the craft: at the stations, in the search and in the booklet. In the order of the alphabet. */
export const GLOSSARY: readonly GlossaryEntry[] = said(
  [
    {
      word: 'Base coat',
      meaning:
        'Paint or gesso under the print, dried first. It evens out colour and thirst of the object, and is what ' +
        'white parts of the picture show.',
      at: ['surface', 'method'],
    },
    {
      word: 'Coat',
      meaning: 'One layer of gel, glue, paint or sealer, put on in one go.',
      at: ['surface', 'lay', 'seal'],
    },
    {
      word: 'Cure',
      meaning:
        'Becoming hard all through, which takes longer than being dry to the touch. A sealer is dry in an hour and cured in weeks.',
      at: ['cure', 'seal', 'keep'],
    },
    {
      word: 'Face down',
      meaning:
        'The printed side lies in the gel or glue, so the picture lands mirrored: that is why the sheet is printed mirrored.',
      at: ['sheet', 'lay'],
    },
    {
      word: 'Film',
      meaning: 'A coat by its thickness while it is wet, in thousandths of a millimetre (µm) or of an inch (mil).',
      at: ['lay'],
    },
    {
      word: 'Gel medium',
      meaning:
        'Acrylic binder without colour. Fluid gel pours and levels; heavy gel stands up and bridges a coarse ' +
        'weave. Gloss keeps darks deeper than matte.',
      at: ['method', 'lay'],
    },
    {
      word: 'Gel or glue (binder)',
      meaning:
        'The wet stuff that takes hold of the toner: gel medium, transfer medium, glue or varnish. It dries clear ' +
        'or white, and the picture stays in it when the paper is rubbed off.',
      at: ['method', 'lay', 'cure'],
    },
    {
      word: 'Ghost',
      meaning: 'A second, fainter picture beside the first: the paper slid after it had touched down.',
      at: ['lay', 'mend'],
    },
    {
      word: 'Grain',
      meaning:
        'The lines of wood. They show through light parts of the picture: a feature in a sky, a fault in a face. ' +
        'Late wood, the darker line, drinks less.',
      at: ['surface', 'rub'],
    },
    {
      word: 'Halo',
      meaning: 'A rim of gel without picture round the print, where the coat went past it and caught dust or shine.',
      at: ['mend', 'seal'],
    },
    {
      word: 'Haze',
      meaning:
        'Paper fibres left on the picture. They are clear when wet and milky when dry, most over dark parts. ' +
        'Another pass takes them; a sealer hides what vanishes when wet.',
      at: ['rub', 'mend', 'seal'],
    },
    {
      word: 'Knot',
      meaning:
        'Where a branch grew: dark, hard and resinous. It shows through, drinks unevenly, and toner goes there first.',
      at: ['surface', 'rub'],
    },
    {
      word: 'Lands',
      meaning: 'How the picture comes to lie on the object, the right way round. “As printed” is the sheet before it.',
      at: ['sheet', 'lay'],
    },
    {
      word: 'Lay',
      meaning: 'To bring the wet print onto the object, from the middle out, without air under it.',
      at: ['lay'],
    },
    {
      word: 'Lip',
      meaning: 'The raised edge of the dried gel, felt with a finger and seen under gloss.',
      at: ['mend', 'seal'],
    },
    {
      word: 'Loss',
      meaning: 'Toner that came off with the paper. It does not come back: it is painted in, or left as wear.',
      at: ['rub', 'mend'],
    },
    {
      word: 'Margin',
      meaning: 'Bare object left round the print. In a printer it is the rim it cannot print on.',
      at: ['sheet'],
    },
    {
      word: 'Mend',
      meaning: 'To touch up what the rubbing left: haze, holes, a raised edge, pencil marks.',
      at: ['mend'],
    },
    {
      word: 'Mirrored',
      meaning:
        'Printed the wrong way round, so that it reads true once it has been laid face down. Decals and traced prints are not mirrored.',
      at: ['picture', 'sheet'],
    },
    {
      word: 'Object (blank)',
      meaning: 'The thing a picture goes on, before anything is on it: board, canvas, drawer front, jar, stone.',
      at: ['surface'],
    },
    {
      word: 'Opaque medium',
      meaning:
        'A white transfer medium: white parts of the picture stay white whatever lies under them. Needed on cloth and on dark grounds.',
      at: ['method'],
    },
    {
      word: 'Open time',
      meaning: 'How long a coat can be worked before its top dries. In warm, dry air it is shorter than on the label.',
      at: ['lay'],
    },
    {
      word: 'Pass',
      meaning: 'One round of damping and rubbing over the whole print, followed by drying.',
      at: ['rub'],
    },
    {
      word: 'Peel window',
      meaning: 'The minutes in which a tacky print can be pulled off whole: too soon it smears, too late it tears.',
      at: ['lay', 'cure'],
    },
    {
      word: 'Ppi',
      meaning: 'Pixels of the picture on each inch of the print. 300 is crisp, 150 just carries, less looks soft.',
      at: ['picture', 'sheet'],
    },
    {
      word: 'Release liner',
      meaning: 'The shiny backing of a sheet of labels: toner lies loosely on it and comes off whole, without rubbing.',
      at: ['method', 'sheet'],
    },
    {
      word: 'Seal',
      meaning: 'To put a clear coat over the finished picture, against water, wear and sun.',
      at: ['seal'],
    },
    {
      word: 'Section',
      meaning: 'As much of the print as is damped and rubbed at once, half a letter page: the rest dries meanwhile.',
      at: ['rub'],
    },
    {
      word: 'Sheen',
      meaning:
        'How a sealer shines: matte, satin or gloss. Gloss clears haze and shows the lip; matte does the reverse.',
      at: ['seal'],
    },
    {
      word: 'Sheet',
      meaning: 'The printed page, with its marks. What is trimmed out of it is the print.',
      at: ['sheet'],
    },
    {
      word: 'Skin',
      meaning: 'The dry film that forms on a coat first. A print laid on it does not take hold.',
      at: ['lay'],
    },
    {
      word: 'Slip paper',
      meaning:
        'Transfer paper with a coating that water dissolves: wetted for half a minute, the paper slides off whole.',
      at: ['method', 'sheet'],
    },
    {
      word: 'Stash',
      meaning: 'What is at hand: bottles with what is left in them, papers, boards and jars, printer, oven, prices.',
      at: ['lay'],
    },
    {
      word: 'Swatch',
      meaning: 'A small trial on the same surface with the same print, gel or glue.',
      at: ['method'],
    },
    {
      word: 'Tacky',
      meaning: 'Sticky but no longer wet: a finger leaves no print and lifts nothing.',
      at: ['cure'],
    },
    {
      word: 'Tile',
      meaning: 'One page of a print too large for one. Tiles overlap and are trimmed at the join.',
      at: ['sheet'],
    },
    {
      word: 'Toner',
      meaning:
        'The plastic powder of a laser printer or copier, melted onto the paper. Water does not move it; inkjet ink bleeds.',
      at: ['method', 'rub'],
    },
    {
      word: 'Veil',
      meaning: 'Haze so thin that it only greys the darks.',
      at: ['rub', 'seal'],
    },
    {
      word: 'Way of moving it (school)',
      meaning:
        'One of the ways people do it, with its order of steps: dry and rub, peel while tacky, iron, soak, trace. ' +
        'Fobbet ranks them for each piece.',
      at: ['method'],
    },
    {
      word: 'Weave',
      meaning: 'The threads of canvas or cloth. Their tops lose toner first and their hollows keep paper.',
      at: ['surface', 'rub'],
    },
    {
      word: 'Wet test',
      meaning:
        'Wiping the dry piece with a damp finger: haze that vanishes will vanish under a sealer; what stays has to be rubbed.',
      at: ['rub', 'mend'],
    },
  ],
  ['at'],
);
