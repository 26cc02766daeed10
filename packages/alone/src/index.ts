// The page script of a lens that is taken along: the same elements, which answer by themselves.
import '../../runtime/src/index.js';
