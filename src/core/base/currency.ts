/** How amounts of a currency are written, as far as its three letters tell; of one that nobody knows two decimals. */

const formatOf = (currency: string) =>
  new Intl.NumberFormat("en", { style: "currency", currency, currencyDisplay: "narrowSymbol" });

/** Decimals of the minor unit of a currency. */
export function decimalsOf(currency: string): number {
  try {
    return formatOf(currency).resolvedOptions().maximumFractionDigits ?? 2;
  } catch {
    return 2;
  }
}

/** "€"; letters stand as they are written, with a space. */
export function currencySign(currency: string): string {
  try {
    const sign = formatOf(currency)
      .formatToParts(0)
      .find((part) => part.type === "currency")!.value;
    return /[A-Za-z]$/.test(sign) ? `${sign} ` : sign;
  } catch {
    return `${currency} `;
  }
}
