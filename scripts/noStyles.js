/** Styles do nothing in tests of what is computed. */
export default {};
