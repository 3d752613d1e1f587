/** Stands in for a module that is left out: whatever is taken from it, called or made with it is nothing again. */
const nothing = new Proxy(function nothing() {}, {
  get: (target, name) => (name === 'prototype' ? target.prototype : name === Symbol.toPrimitive ? () => '' : nothing),
  apply: () => nothing,
  construct: () => nothing,
});

module.exports = nothing;
