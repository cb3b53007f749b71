export { GLOSSARY } from './glossary';
export { WORKINGS } from './workings';
export { searchHelp, helpTopics, type HelpTopic } from './topics';
