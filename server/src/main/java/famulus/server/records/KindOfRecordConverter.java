package famulus.server.records;

import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/** Reads a kind of record from an address. */
@Component
class KindOfRecordConverter implements Converter<String, CrmKind> {
    @Override
    public CrmKind convert(String word) {
        return CrmKind.of(word);
    }
}
