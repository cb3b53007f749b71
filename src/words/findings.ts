import type { FindingFact, FindingFigure, Remedy } from '@/core/findings';
import type { SurfaceId } from '@/core/craft';
import { BINDER_WORDS, SURFACE_WORDS } from './craft';

/** A finding's sentence after its figure: what it is, and what follows. */
export interface FindingWords {
  lead: string;
  text: string;
}

const say = (lead: string, rest = '.'): FindingWords => ({ lead, text: `${lead}${rest}` });

const groundName = (surface: SurfaceId | null, unknown: string): string =>
  surface === null ? unknown : SURFACE_WORDS[surface].shortInText;

export function findingWords(fact: FindingFact): FindingWords {
  switch (fact.code) {
    case 'cut-off-by-proportions':
      return say('of it is cut off', ': the blank has other proportions. Turn the board, or choose the crop yourself.');
    case 'cut-off-by-outline':
      return say('of it is cut off', ' by the blank’s outline. Choose the crop so that what matters lies inside.');
    case 'white-stays':
      return say('is near white, and stays white', ': the binder is opaque.');
    case 'white-shows-as-wanted':
      return say('is near white and will show the surface, as you want it');
    case 'white-shows-light-ground':
      return say('is near white and will show the ground, which is light');
    case 'white-shows':
      return say(
        'is near white',
        `: no toner lies there, and ${groundName(fact.surface, 'the bare surface')} will show.`,
      );
    case 'dark':
      return say('is dark', ': haze lingers there longest, and it hides the grain.');
    case 'dark-still':
      return say(
        'is still dark after all the lightening there is',
        ': haze will linger there. Take another picture, or rub with patience.',
      );
    case 'faint-on-white':
      return say('holds fine detail in near-white', '; on white it stays readable.');
    case 'faint-vanishes':
      return say('has its detail in near-white, where it will vanish in the ground');
    case 'contrast-clear':
      return say('is its range', ': clear contrast.');
    case 'contrast-flat':
      return say('is its range', ': flat, and a transfer flattens it further.');
    case 'contrast-spent':
      return say('is its range with all the contrast there is', ': it will land flat.');
    case 'resolution-enough':
      return say('carries this size');
    case 'resolution-more': {
      const texture = fact.coarse ? 'weave or stone' : 'grain';
      return say(
        'carries this size',
        `; the ${texture} shows no more than about ${Math.round(fact.shownPpi)} ppi of it.`,
      );
    }
    case 'resolution-soft':
      return say('is too little for this size', ': the pixels will show.');
    case 'edges-soft':
      return say(
        'of its edges are as steep as pixels allow',
        ': the picture itself is soft, or was enlarged. Smaller it will look sharper.',
      );
    case 'easily-overlooked':
      return say(
        'is light and even',
        ': paper left there is easy to overlook. Feel for it with a fingertip, and look at it dry.',
      );
    case 'ghost-whole':
      return say(
        `is ${subjects(fact.subjects)}`,
        `; on this even ground ${fact.subjects === 1 ? 'it stays' : 'they stay'} whole.`,
      );
    case 'ghost-reads': {
      const grain = groundName(fact.surface, 'this surface');
      return say(
        `is ${subjects(fact.subjects)}`,
        `: on the grain of ${grain} ${fact.subjects === 1 ? 'it reads' : 'they read'} as ghostly.`,
      );
    }
    case 'ground-dark':
      return say('is the ground', ': toner only darkens, so on a ground this dark the picture disappears.');
    case 'ground-tints':
      return say('is the colour of the ground', ': it tints every colour of the picture.');
  }
}

const subjects = (count: number): string => (count === 1 ? 'a pale subject' : `${count} pale subjects`);

export function findingFigure(figure: FindingFigure): string {
  switch (figure.kind) {
    case 'share':
      return `${Math.round(figure.share * 100)} %`;
    case 'range':
      return `L* ${figure.low}–${figure.high}`;
    case 'ppi':
      return `${Math.round(figure.ppi)} ppi`;
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
      return 'A thin white wash under it';
    case 'light-base':
      return 'A light base coat of chalk-type paint';
    case 'smoother-blank':
      return 'A smoother blank: painted wood';
    case 'opaque-binder':
      return BINDER_WORDS[remedy.binder].name;
    case 'gamma-up':
      return `Lighten the midtones (gamma ${remedy.gamma.toFixed(2)})`;
    case 'contrast':
      return `More contrast (+${remedy.contrast})`;
    case 'lower-lights':
      return 'Bring the lights down';
    case 'grey':
      return 'Make it black and white';
    case 'compensate':
      return 'Compensate for the ground';
    case 'turn-board':
      return 'Turn the board';
    case 'whole-crop':
      return 'Use the whole picture';
    case 'smaller-print':
      return 'Print it smaller, with wider margins';
    case 'turn-grain':
      return `Turn the grain to the picture’s lines (${remedy.angleDeg}°)`;
  }
}
