import { forgetPages } from '/static/js/people/out.js';

function kept(...urls) {
  const left = urls.map((path) => ({ url: `https://bench.lan${path}` }));
  return {
    left,
    keys: async () => ['elsom-1'],
    open: async () => ({
      keys: async () => [...left],
      delete: async (request) => { left.splice(left.indexOf(request), 1); },
    }),
  };
}

export const tests = {
  'pages go and files stay': async (is) => {
    const store = kept('/trials/2/bench?look=7', '/static/js/bench/bench.js', '/offline', '/webjars/d3-axis/dist/d3-axis.min.js');
    await forgetPages(store);
    is(store.left.map(({ url }) => new URL(url).pathname), ['/static/js/bench/bench.js', '/webjars/d3-axis/dist/d3-axis.min.js']);
  },
};
