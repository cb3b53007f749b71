import config from './jest.config.mjs';

/** The tests beside the folder whose mutants are made, and of those that are tested from elsewhere. */
const rooms = (process.env.FOBBET_MUTANTS_TESTS ?? 'src').split(',');

export default { ...config, testMatch: rooms.map((room) => `<rootDir>/${room}/**/*.test.ts`) };
