// What tests without a browser have in place of the page script's sheet.
module.exports = { __esModule: true, default: '' };
