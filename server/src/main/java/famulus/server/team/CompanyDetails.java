package famulus.server.team;

/**
 * Our company as it is typed in Company settings; what is not known is empty.
 *
 * @param country two letters of ISO 3166
 * @param language two letters of ISO 639: what people without a language are written to in
 * @param timeZone a name of the IANA database
 * @param currency three letters of ISO 4217
 * @param publicAddress where readers of messages reach this server, such as {@code https://post.example.com}
 */
public record CompanyDetails(
        String name,
        String phone,
        String website,
        String street,
        String postcode,
        String town,
        String country,
        String language,
        String timeZone,
        String currency,
        String publicAddress) {}
