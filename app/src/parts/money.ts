/** An amount of the shop's money. */
export function money(amount: number, currency: string): string {
  const written = amount.toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 });
  return currency ? `${currency} ${written}` : written;
}
