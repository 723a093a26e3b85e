export const sums = "Sums";
export const oneFigureWithoutADesign = "One figure, without a design. Type any unit: 1.5 in, 40 mm, 2 ft.";
export const searchTheSums = "Search the sums";
export const searchTrapBoreFrost = "Search: trap, bore, frost…";
export const noSumByThatName = "No sum by that name. Try one word of it.";
export const print = "Print";
