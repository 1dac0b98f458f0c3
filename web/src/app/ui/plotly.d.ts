declare module 'plotly.js-cartesian-dist-min' {
  import type * as P from 'plotly.js';
  const Plotly: typeof P;
  export default Plotly;
}
