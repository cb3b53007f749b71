export { InspectPart } from './inspect-part';
export { readingAnswer } from './reading-answer';
