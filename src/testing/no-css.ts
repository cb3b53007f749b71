/** Stands for a style sheet under Jest. */
const names: Readonly<Record<string, string>> = {};
export default names;
