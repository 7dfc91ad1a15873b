module.exports = { plugins: { 'postcss-preset-mantine': {} } };
