const config = {
  plugins: {
    'postcss-preset-mantine': {},
    'postcss-simple-vars': { variables: { 'breakpoint-narrow': '60em', 'breakpoint-tablet': '72em' } },
  },
};

export default config;
