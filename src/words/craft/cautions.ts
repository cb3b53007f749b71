import type { CautionId } from '@/core/craft';
import { said } from '../say';

export const CAUTION_TEXTS: Readonly<Record<CautionId, string>> = said({
  lead: 'Old paint may hold lead. Test it before you sand, never dry-sand it, and follow local rules or hire a licensed contractor.',
  'sanding-dust': 'Sanding: wear a mask and eye protection, and keep the dust away from children.',
  knife: 'Craft knife: cut away from the hand, along a metal ruler.',
  spray: 'Sprays and solvent finishes: outside or with strong ventilation, no flame or heater near, gloves.',
  'oily-rags': 'Rags with oil or wax can heat themselves: dry them flat or keep them in water.',
  'no-food': 'Nothing here is food-safe: keep it off everything that touches food or mouths.',
  'no-flame': 'Never on a candle that will burn, a stove, or a lamp beyond its label.',
  'glass-edges': 'Glass edges and broken tile cut: wear gloves.',
  'two-people': 'This is heavy or large: lift and turn it with two people.',
  fingertips: 'Long wet rubbing wears fingertips: nitrile gloves or a cloth, and a break after half an hour.',
  'picture-rights': 'Use your own or licensed pictures, and ask the people in them.',
  'cold-film': 'In a room this cold a water-borne gel or glue may never form a film. Stop: warm the room first.',
  'damp-air': 'Above 85 % humidity the water has nowhere to go. Expect a far longer wait, or dry the air first.',
  brushes: 'Wash brushes before the gel or glue dries: afterwards it is waterproof.',
  'back-of-paper': 'Keep medium off the back of the paper: it seals the paper, and that spot will not rub off.',
  'heat-set':
    'Heat-setting: stay with it, ventilate, no food in the oven, and stay under the paper’s and the oven’s limits.',
  oven:
    'Oven: stay with it, ventilate, no food at the same time, oven gloves. Heat and cool slowly, never above ' +
    'the label’s limit; nothing plastic, glued or with batteries goes in.',
  'label-first': 'The label on the bottle overrules these figures. Type its values where it differs.',
  outdoors: 'Outdoors is not recommended beyond a sheltered spot.',
  wash: 'Let it dry 3 to 4 days before the first wash: inside out, gentle, no tumble drying.',
});
