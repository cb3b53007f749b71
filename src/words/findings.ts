import type { FindingFact, FindingFigure, Remedy } from '@/core/findings';
import type { SurfaceId } from '@/core/craft';
import { BINDER_WORDS, SURFACE_WORDS } from './craft';
import { say } from './say';

/** A finding's sentence after its figure: what it is, and what follows. */
export interface FindingWords {
  lead: string;
  text: string;
}

/** @param sentence what it is, and after a stroke what follows from that */
function told(sentence: string): FindingWords {
  const [lead = '', rest = '.'] = sentence.split('|');
  return { lead, text: `${lead}${rest}` };
}

const groundName = (surface: SurfaceId | null, unknown: string): string =>
  surface === null ? unknown : SURFACE_WORDS[surface].shortInText;

export function findingWords(fact: FindingFact): FindingWords {
  switch (fact.code) {
    case 'cut-off-by-proportions':
      return told(
        say`of it is cut off|: the blank has other proportions. Turn the board, or choose the crop yourself.`,
      );
    case 'cut-off-by-outline':
      return told(say`of it is cut off| by the blank’s outline. Choose the crop so that what matters lies inside.`);
    case 'white-stays':
      return told(say`is near white, and stays white|: the binder is opaque.`);
    case 'white-shows-as-wanted':
      return told(say`is near white and will show the surface, as you want it`);
    case 'white-shows-light-ground':
      return told(say`is near white and will show the ground, which is light`);
    case 'white-shows':
      return told(
        say`is near white|: no toner lies there, and ${groundName(fact.surface, say`the bare surface`)} will show.`,
      );
    case 'dark':
      return told(say`is dark|: haze lingers there longest, and it hides the grain.`);
    case 'dark-still':
      return told(
        say`is still dark after all the lightening there is|: haze will linger there. Take another picture, or rub with patience.`,
      );
    case 'faint-on-white':
      return told(say`holds fine detail in near-white|; on white it stays readable.`);
    case 'faint-vanishes':
      return told(say`has its detail in near-white, where it will vanish in the ground`);
    case 'contrast-clear':
      return told(say`is its range|: clear contrast.`);
    case 'contrast-flat':
      return told(say`is its range|: flat, and a transfer flattens it further.`);
    case 'contrast-spent':
      return told(say`is its range with all the contrast there is|: it will land flat.`);
    case 'resolution-enough':
      return told(say`carries this size`);
    case 'resolution-more': {
      const texture = fact.coarse ? say`weave or stone` : say`grain`;
      return told(
        say`carries this size|; the ${texture} shows no more than about ${Math.round(fact.shownPpi)} ppi of it.`,
      );
    }
    case 'resolution-soft':
      return told(say`is too little for this size|: the pixels will show.`);
    case 'edges-soft':
      return told(
        say`of its edges are as steep as pixels allow|: the picture itself is soft, or was enlarged. Smaller it will look sharper.`,
      );
    case 'easily-overlooked':
      return told(
        say`is light and even|: paper left there is easy to overlook. Feel for it with a fingertip, and look at it dry.`,
      );
    case 'ghost-whole':
      return told(
        say`is ${subjects(fact.subjects)}|; on this even ground ${fact.subjects === 1 ? say`it stays` : say`they stay`} whole.`,
      );
    case 'ghost-reads': {
      const grain = groundName(fact.surface, say`this surface`);
      return told(
        say`is ${subjects(fact.subjects)}|: on the grain of ${grain} ${fact.subjects === 1 ? say`it reads` : say`they read`} as ghostly.`,
      );
    }
    case 'ground-dark':
      return told(say`is the ground|: toner only darkens, so on a ground this dark the picture disappears.`);
    case 'ground-tints':
      return told(say`is the colour of the ground|: it tints every colour of the picture.`);
  }
}

const subjects = (count: number): string => (count === 1 ? say`a pale subject` : say`${count} pale subjects`);

export function findingFigure(figure: FindingFigure): string {
  switch (figure.kind) {
    case 'share':
      return `${Math.round(figure.share * 100)} %`;
    case 'range':
      return `L* ${figure.low}–${figure.high}`;
    case 'ppi':
      return say`${Math.round(figure.ppi)} ppi`;
    case 'lightness':
      return `L* ${Math.round(figure.lightness)}`;
    case 'chroma':
      return `C* ${Math.round(figure.chroma)}`;
  }
}

/** What a remedy’s button says, and its change in the record of undo. */
export function remedyWords(remedy: Remedy): string {
  switch (remedy.id) {
    case 'white-wash':
      return say`A thin white wash under it`;
    case 'light-base':
      return say`A light base coat of chalk-type paint`;
    case 'smoother-blank':
      return say`A smoother blank: painted wood`;
    case 'opaque-binder':
      return BINDER_WORDS[remedy.binder].name;
    case 'gamma-up':
      return say`Lighten the midtones (gamma ${remedy.gamma.toFixed(2)})`;
    case 'contrast':
      return say`More contrast (+${remedy.contrast})`;
    case 'lower-lights':
      return say`Bring the lights down`;
    case 'grey':
      return say`Make it black and white`;
    case 'compensate':
      return say`Compensate for the ground`;
    case 'turn-board':
      return say`Turn the board`;
    case 'whole-crop':
      return say`Use the whole picture`;
    case 'smaller-print':
      return say`Print it smaller, with wider margins`;
    case 'turn-grain':
      return say`Turn the grain to the picture’s lines (${remedy.angleDeg}°)`;
  }
}
