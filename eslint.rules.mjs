/** Rules of this project that no package has. */

const FROM_STORE = /^use\w+Store$/

const isStore = node => node?.type === 'CallExpression' && FROM_STORE.test(node.callee.name ?? '')

/** Whether an expression begins at a variable that holds a store: `store.form.title`. */
function beginsAtStore(node, stores) {
  let at = node
  while (at?.type === 'MemberExpression' || at?.type === 'TSNonNullExpression')
    at = at.object ?? at.expression
  return at !== node && at?.type === 'Identifier' && stores.has(at.name)
}

/** Pages and components ask a store to change by its actions; they never write into it. */
const noStoreWrites = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      write: 'A store is changed by its own actions, never written into.',
      apart: 'Each store has a line of its own.',
    },
  },
  create(context) {
    const stores = new Set()
    const report = node => context.report({ node, messageId: 'write' })
    const collect = {
      VariableDeclarator(node) {
        if (isStore(node.init) && node.id.type === 'Identifier') stores.add(node.id.name)
        if (node.init?.type === 'ArrayExpression' && node.init.elements.some(isStore))
          context.report({ node, messageId: 'apart' })
      },
    }
    const writes = {
      AssignmentExpression: node => beginsAtStore(node.left, stores) && report(node),
      UpdateExpression: node => beginsAtStore(node.argument, stores) && report(node),
      CallExpression: node =>
        node.callee.property?.name === '$patch' && beginsAtStore(node.callee, stores) && report(node),
    }
    const inTemplate = {
      ...writes,
      "VAttribute[directive=true][key.name.name='model'] > VExpressionContainer": node =>
        beginsAtStore(node.expression, stores) && report(node),
    }
    const services = context.sourceCode.parserServices
    return services.defineTemplateBodyVisitor
      ? services.defineTemplateBodyVisitor(inTemplate, { ...collect, ...writes })
      : { ...collect, ...writes }
  },
}

export const ours = { rules: { 'no-store-writes': noStoreWrites } }

const shownBySign = [
  {
    selector: ":not(CallExpression[callee.name='Number']) > CallExpression[callee.property.name='toFixed']",
    message: 'What is shown has the decimal sign of its reader: groupDigits or numberForField.',
  },
  {
    selector: "CallExpression[callee.property.name='parseFloat'], CallExpression[callee.name='parseFloat']",
    message: 'Half of a text is no number: typedNumber reads what was typed.',
  },
]

/** The rules and where they hold. */
export const ourRules = [
  {
    files: ['app/**/*.vue', 'app/**/*.ts'],
    plugins: { ours },
    rules: { 'ours/no-store-writes': 'error' },
  },
  {
    files: ['app/**/*.vue', 'app/**/*.ts', 'shared/words/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...shownBySign],
      'vue/no-restricted-syntax': ['error', ...shownBySign],
    },
  },
]
