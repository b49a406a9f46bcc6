package raftcart.error;

/** The source's catalog could not be read or is of a kind that cannot be used. */
public final class CatalogException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public CatalogException(String message, String advice) {
        super(message, advice, null);
    }

    public CatalogException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
