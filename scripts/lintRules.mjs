/** Two rules of our own for the linter. */

const isAction = (call) =>
  call.type === 'CallExpression' &&
  call.callee.type === 'Identifier' &&
  /(^a|A)ction$/.test(call.callee.name);

/** A server action is asked by `answered`: that no answer comes is one too. */
const answered = {
  create(context) {
    const report = (node) => {
      context.report({ node, message: 'Ask by `answered`: no answer is one too.' });
    };
    return {
      AwaitExpression({ argument }) {
        if (isAction(argument)) report(argument);
      },
      MemberExpression({ object, property }) {
        if (/^(then|catch|finally)$/.test(property.name) && isAction(object)) report(object);
      },
    };
  },
};

/** The core does not look at the clock. */
const toldTheDay = {
  create: (context) => ({
    NewExpression(node) {
      if (node.callee.name === 'Date' && node.arguments.length === 0) {
        context.report({ node, message: 'The core is told the day.' });
      }
    },
  }),
};

export default {
  meta: { name: 'levitar' },
  rules: { answered, 'told-the-day': toldTheDay },
};
