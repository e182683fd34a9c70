package kiver.core.crop;

/**
 * Where a crop's figures come from, in words: a publication, a fit, or "estimate".
 *
 * @param emergence source of the cardinal temperatures and days of emergence
 * @param growth source of leaf growth and limits
 */
public record Sources(String emergence, String growth) {}
