// Jest's Node environment on a global object without interceptors: with them every Math.x of the code under test is
// looked up by a callback, some fifty times as slow as outside of Jest.
const vm = require('node:vm');
const { TestEnvironment } = require('jest-environment-node');

const { createContext } = vm;

module.exports = class FastEnvironment extends TestEnvironment {
  constructor(...args) {
    vm.createContext = () => createContext(vm.constants.DONT_CONTEXTIFY);
    try {
      super(...args);
    } finally {
      vm.createContext = createContext;
    }
  }
};
