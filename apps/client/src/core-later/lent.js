// what stands for the core in its rooms that come later: see rooms.cjs
module.exports = require('./loan').coreLent();
