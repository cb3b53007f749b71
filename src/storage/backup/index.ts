export { compareBackup, type ComparedPiece, type Comparison } from './compare';
export { openBackup, type OpenBackup } from './open';
export { lackingPictures, restoreBackup, type Choice, type Choices } from './restore';
export { writeBackup } from './write';
