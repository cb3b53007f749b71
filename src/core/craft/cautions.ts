/** Cautions, shown at the step where they apply. Labels, local codes and licensed practice come first. */
export type CautionId =
  | 'lead' | 'sanding-dust' | 'knife' | 'spray' | 'oily-rags' | 'no-food' | 'no-flame' | 'glass-edges' | 'two-people'
  | 'fingertips' | 'picture-rights' | 'cold-film' | 'damp-air' | 'brushes' | 'back-of-paper' | 'heat-set' | 'label-first' | 'outdoors' | 'wash' | 'oven';

export interface CautionRecord {
  id: CautionId;
  /** `danger` can hurt someone; `craft` can spoil the piece. */
  level: 'danger' | 'craft';
  text: string;
}

export const CAUTIONS: Readonly<Record<CautionId, CautionRecord>> = {
  lead: { id: 'lead', level: 'danger', text: 'Old paint may hold lead. Test it before you sand, never dry-sand it, and follow local rules or hire a licensed contractor.' },
  'sanding-dust': { id: 'sanding-dust', level: 'danger', text: 'Sanding: wear a mask and eye protection, and keep the dust away from children.' },
  knife: { id: 'knife', level: 'danger', text: 'Craft knife: cut away from the hand, along a metal ruler.' },
  spray: { id: 'spray', level: 'danger', text: 'Sprays and solvent finishes: outside or with strong ventilation, no flame or heater near, gloves.' },
  'oily-rags': { id: 'oily-rags', level: 'danger', text: 'Rags with oil or wax can heat themselves: dry them flat or keep them in water.' },
  'no-food': { id: 'no-food', level: 'danger', text: 'Nothing here is food-safe: keep it off everything that touches food or mouths.' },
  'no-flame': { id: 'no-flame', level: 'danger', text: 'Never on a candle that will burn, a stove, or a lamp beyond its label.' },
  'glass-edges': { id: 'glass-edges', level: 'danger', text: 'Glass edges and broken tile cut: wear gloves.' },
  'two-people': { id: 'two-people', level: 'danger', text: 'This is heavy or large: lift and turn it with two people.' },
  fingertips: { id: 'fingertips', level: 'danger', text: 'Long wet rubbing wears fingertips: nitrile gloves or a cloth, and a break after half an hour.' },
  'picture-rights': { id: 'picture-rights', level: 'craft', text: 'Use your own or licensed pictures, and ask the people in them.' },
  'cold-film': { id: 'cold-film', level: 'craft', text: 'Below about 10 °C a water-borne binder may never form a film. Stop: warm the room first.' },
  'damp-air': { id: 'damp-air', level: 'craft', text: 'Above 85 % humidity the water has nowhere to go. Expect a far longer wait, or dry the air first.' },
  brushes: { id: 'brushes', level: 'craft', text: 'Wash brushes before the binder dries: afterwards it is waterproof.' },
  'back-of-paper': { id: 'back-of-paper', level: 'craft', text: 'Keep medium off the back of the paper: it seals the paper, and that spot will not rub off.' },
  'heat-set': { id: 'heat-set', level: 'danger', text: 'Heat-setting: stay with it, ventilate, no food in the oven, and stay under the paper’s and the oven’s limits.' },
  oven: { id: 'oven', level: 'danger', text: 'Oven: stay with it, ventilate, no food at the same time, oven gloves. Heat and cool slowly, never above the label’s limit; nothing plastic, glued or with batteries goes in.' },
  'label-first': { id: 'label-first', level: 'craft', text: 'The label on the bottle overrules these figures. Type its values where it differs.' },
  outdoors: { id: 'outdoors', level: 'craft', text: 'Outdoors is not recommended beyond a sheltered spot.' },
  wash: { id: 'wash', level: 'craft', text: 'Let it dry 3 to 4 days before the first wash: inside out, gentle, no tumble drying.' },
};
