import type { FindingFact, FindingFigure, Remedy } from '@/core/findings';
import { BINDER_WORDS, SURFACE_WORDS } from './craft';
import { say } from './say';

/** What a finding's figure is, and what follows from it. */
export interface FindingWords {
  lead: string;
  text: string;
}

/** @param sentence what it is, and after a stroke what follows from that */
function told(sentence: string): FindingWords {
  const [lead = '', rest = '.'] = sentence.split('|');
  return { lead, text: `${lead}${rest}` };
}

export function findingWords(fact: FindingFact): FindingWords {
  switch (fact.code) {
    case 'cut-off-by-proportions':
      return told(say`cut off|: the object has other proportions. Turn the board, or choose the crop yourself.`);
    case 'cut-off-by-outline':
      return told(say`cut off by the object’s outline|. Choose the crop so that what matters lies inside.`);
    case 'white-stays':
      return told(say`near white, and stays white|: the gel or glue is opaque.`);
    case 'white-shows-as-wanted':
      return told(say`near white|: it will show the surface, as you want it.`);
    case 'white-shows-light-ground':
      return told(say`near white|: it will show the ground, which is light.`);
    case 'white-shows':
      return told(
        fact.surface === null
          ? say`near white|: no toner lies there, and the bare surface will show.`
          : say`near white|: no toner lies there, and this will show: ${SURFACE_WORDS[fact.surface].shortInText}.`,
      );
    case 'dark':
      return told(say`dark|: haze lingers there longest, and it hides the grain.`);
    case 'dark-still':
      return told(
        say`still dark after all the lightening there is|: haze will linger there. Take another picture, or rub with patience.`,
      );
    case 'faint-on-white':
      return told(say`fine detail in near-white|; on white it stays readable.`);
    case 'faint-vanishes':
      return told(say`detail in near-white|: it will vanish in the ground.`);
    case 'contrast-clear':
      return told(say`its range|: clear contrast.`);
    case 'contrast-flat':
      return told(say`its range|: flat, and a transfer flattens it further.`);
    case 'contrast-spent':
      return told(say`its range with all the contrast there is|: it will land flat.`);
    case 'resolution-enough':
      return told(say`enough for this size`);
    case 'resolution-more':
      return told(
        fact.coarse
          ? say`enough for this size|; weave or stone shows no more than about ${Math.round(fact.shownPpi)} ppi of it.`
          : say`enough for this size|; grain shows no more than about ${Math.round(fact.shownPpi)} ppi of it.`,
      );
    case 'resolution-soft':
      return told(say`too little for this size|: the pixels will show.`);
    case 'edges-soft':
      return told(
        say`of its edges as steep as pixels allow|: the picture itself is soft, or was enlarged. Smaller it will look sharper.`,
      );
    case 'easily-overlooked':
      return told(
        say`light and even|: paper left there is easy to overlook. Feel for it with a fingertip, and look at it dry.`,
      );
    case 'ghost-whole':
      return told(
        fact.subjects === 1
          ? say`a pale subject|; on this even ground it stays whole.`
          : say`${fact.subjects} pale subjects|; on this even ground they stay whole.`,
      );
    case 'ghost-reads':
      return told(
        fact.subjects === 1
          ? say`a pale subject|: on the grain of this surface it reads as ghostly.`
          : say`${fact.subjects} pale subjects|: on the grain of this surface they read as ghostly.`,
      );
    case 'ground-dark':
      return told(say`the ground’s lightness|: toner only darkens, so on a ground this dark the picture disappears.`);
    case 'ground-tints':
      return told(say`the ground’s colour|: it tints every colour of the picture.`);
  }
}

export function findingFigure(figure: FindingFigure): string {
  switch (figure.kind) {
    case 'share':
      return `${Math.round(figure.share * 100)} %`;
    case 'range':
      return say`lightness ${figure.low}–${figure.high}`;
    case 'ppi':
      return say`${Math.round(figure.ppi)} ppi`;
    case 'lightness':
      return say`lightness ${Math.round(figure.lightness)}`;
    case 'chroma':
      return say`colour ${Math.round(figure.chroma)}`;
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
      return say`Something smoother: painted wood`;
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
