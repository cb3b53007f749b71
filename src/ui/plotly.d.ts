declare module 'plotly.js-basic-dist-min' {
  import type * as Plotly from 'plotly.js';
  const plotly: typeof Plotly & {
    register: (module: { moduleType: 'locale'; name: string } & Record<string, unknown>) => void;
  };
  export default plotly;
}
