/** A sum in the home's money; a round one unless fractions of it matter. */
export const money = (amount: number, currency: string, digits = 0) =>
  new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    minimumFractionDigits: 0,
    maximumFractionDigits: digits,
  }).format(amount);
